package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Reads Y'CbCr as rows of red, green and blue without intermediate planes. Subsampled chroma is interpolated
 * linearly.
 */
final class YuvRows implements ColourRows {
    private final int width;
    private final int height;
    private final Yuv yuv;
    private final PixelComponent lumaSamples;
    private final PixelComponent cbSamples;
    private final PixelComponent crSamples;
    private final int chromaWidth;
    private final int chromaHeight;
    private final int subY;
    private final Chroma.Taps across;

    /** Whether chroma has a sample on every second pixel, starting with the first. */
    private final boolean isDoubled;

    /**
     * @param memory planes of the picture
     * @param fullRange whether code values use the full range
     */
    YuvRows(AVFrame in, PixelMemory memory, AVPixFmtDescriptor layout, Yuv yuv, boolean fullRange) {
        this.yuv = yuv;
        width = in.width();
        height = in.height();
        boolean left =
                in.chroma_location() != AVCHROMA_LOC_CENTER
                        && !(in.chroma_location() == AVCHROMA_LOC_UNSPECIFIED && fullRange);
        int subX = layout.log2_chroma_w();
        subY = layout.log2_chroma_h();
        chromaWidth = -(-width >> subX);
        chromaHeight = -(-height >> subY);
        lumaSamples = new PixelComponent(memory, layout, 0, width, height);
        cbSamples = new PixelComponent(memory, layout, 1, chromaWidth, chromaHeight);
        crSamples = new PixelComponent(memory, layout, 2, chromaWidth, chromaHeight);
        isDoubled = subX == 1 && left && width % 2 == 0;
        across = isDoubled ? null : Chroma.Taps.of(width, chromaWidth, subX, left);
    }

    @Override
    public Size size() {
        return new Size(width, height);
    }

    @Override
    public Reader reader() {
        PixelComponent.Line line = lumaSamples.line();
        Difference blues = new Difference(cbSamples);
        Difference reds = new Difference(crSamples);
        return (y, rgb) -> {
            lumaSamples.read(y, rgb[0], 0, line);
            yuv.toRgb(rgb, blues.at(y), reds.at(y), width);
        };
    }

    @Override
    public Optional<List<Rows>> channels() {
        return Optional.of(
                IntStream.range(0, 3)
                        .mapToObj(number -> Rows.read(size(), () -> channel(number)))
                        .toList());
    }

    /** Red, green or blue alone; red and blue need only one chroma component. */
    private Rows.Reader channel(int number) {
        PixelComponent.Line line = lumaSamples.line();
        Difference blues = new Difference(cbSamples);
        Difference reds = new Difference(crSamples);
        float[] own = new float[width];
        return (y, out, o) -> {
            float[] luma = o == 0 ? out : own; // fastest for index 0
            lumaSamples.read(y, luma, 0, line);
            switch (number) {
                case 0 -> yuv.toRed(luma, reds.at(y), width);
                case 1 -> yuv.toGreen(luma, blues.at(y), reds.at(y), width);
                default -> yuv.toBlue(luma, blues.at(y), width);
            }
            if (luma == own) {
                System.arraycopy(luma, 0, out, o, width);
            }
        };
    }

    /** One chroma component; horizontally interpolated rows are reused for adjacent pixel rows. */
    private final class Difference {
        private final PixelComponent samples;
        private final PixelComponent.Line line;
        private final float[] read = new float[chromaWidth];
        private final float[][] kept = new float[2][width];
        private final int[] keptRow = {-1, -1};

        Difference(PixelComponent samples) {
            this.samples = samples;
            this.line = samples.line();
        }

        /** Chroma of pixel row {@code y}; valid until the next call. */
        Yuv.Between at(int y) {
            double place = Chroma.place(y, chromaHeight, subY, false);
            int first = (int) place;
            float share = (float) (place - first);
            float[] row = row(first);
            return new Yuv.Between(row, share == 0 ? row : row(first + 1), share);
        }

        private float[] row(int y) {
            int slot = y % 2;
            if (keptRow[slot] != y) {
                keptRow[slot] = y;
                samples.read(y, read, 0, line);
                if (isDoubled) {
                    Chroma.doubled(read, kept[slot]);
                } else {
                    across.read(read, kept[slot]);
                }
            }
            return kept[slot];
        }
    }
}
