package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.AVCOL_RANGE_JPEG;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

/**
 * Writes colours as Y'CbCr row by row without intermediate planes. Chroma may be halved horizontally and
 * vertically.
 */
final class YuvWriter {
    private final ColourRows colour;
    private final Yuv yuv;
    private final int height;
    private final int rowsShared;
    private final boolean halved;
    private final PixelComponent luma;
    private final PixelComponent cb;
    private final PixelComponent cr;
    private final Size chroma;

    YuvWriter(ColourRows colour, AVFrame out, AVPixFmtDescriptor layout) {
        if (layout.log2_chroma_w() > 1 || layout.log2_chroma_h() > layout.log2_chroma_w()) {
            throw new IllegalArgumentException("no writer for " + out.format());
        }
        this.colour = colour;
        yuv =
                Yuv.of(
                        out.colorspace(),
                        out.color_range() == AVCOL_RANGE_JPEG,
                        layout.comp(0).depth(),
                        out.height());
        height = colour.height();
        halved = layout.log2_chroma_w() == 1;
        rowsShared = 1 << layout.log2_chroma_h();
        chroma =
                new Size(
                        halved ? (colour.width() + 1) / 2 : colour.width(),
                        (height + rowsShared - 1) / rowsShared);
        luma = PixelWriter.component(new Size(colour.width(), height), out, layout, 0);
        cb = PixelWriter.component(chroma, out, layout, 1);
        cr = PixelWriter.component(chroma, out, layout, 2);
    }

    void write(Workers workers) {
        workers.eachRow(chroma.height(), () -> new Band()::write);
    }

    /** Scratch rows of one thread. */
    private final class Band {
        private final ColourRows.Reader reader = colour.reader();
        private final int width = colour.width();
        private final float[][] rgb = new float[3][width];
        private final float[] y = new float[width];
        private final float[][] blues = new float[2][width];
        private final float[][] reds = new float[2][width];
        private final float[] sum = new float[width];
        private final float[] half = new float[chroma.width()];
        private final PixelComponent.Line lumaLine = luma.line();
        private final PixelComponent.Line chromaLine = cb.line();

        /** Writes one row of chroma and its rows of luma. */
        void write(int row) {
            for (int i = 0; i < rowsShared; i++) {
                int at = row * rowsShared + i;
                if (at < height) {
                    reader.row(at, rgb);
                    yuv.toCodes(rgb[0], rgb[1], rgb[2], y, blues[i], reds[i]);
                    luma.write(at, y, 0, lumaLine);
                }
            }
            boolean pair = rowsShared == 2 && row * 2 + 1 < height;
            write(row, cb, blues[0], blues[pair ? 1 : 0]);
            write(row, cr, reds[0], reds[pair ? 1 : 0]);
        }

        private void write(int row, PixelComponent component, float[] upper, float[] lower) {
            if (halved) {
                Chroma.halved(upper, lower, sum, half);
                component.write(row, half, 0, chromaLine);
            } else {
                component.write(row, upper, 0, chromaLine);
            }
        }
    }
}
