package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.util.List;

/**
 * Luma and colour difference read as red, green and blue, row by row: no planes between. Colour difference
 * that has fewer samples is drawn through linearly.
 */
final class YuvReader {
    private final int width;
    private final int height;
    private final Yuv yuv;
    private final PixelComponent lumaSamples;
    private final PixelComponent cbSamples;
    private final PixelComponent crSamples;
    private final int chromaWidth;
    private final Chroma.Taps across;
    private final Chroma.Taps down;

    /** Whether there is a sample of colour difference for every second pixel, beginning with the first. */
    private final boolean isDoubled;

    /**
     * @param fullRange whether codes from end to end stand for black to white
     */
    YuvReader(AVFrame in, AVPixFmtDescriptor layout, Yuv yuv, boolean fullRange) {
        this.yuv = yuv;
        width = in.width();
        height = in.height();
        boolean left =
                in.chroma_location() != AVCHROMA_LOC_CENTER
                        && !(in.chroma_location() == AVCHROMA_LOC_UNSPECIFIED && fullRange);
        int subX = layout.log2_chroma_w();
        int subY = layout.log2_chroma_h();
        chromaWidth = -(-width >> subX);
        int chromaHeight = -(-height >> subY);
        lumaSamples = new PixelComponent(in, layout, 0, width, height);
        cbSamples = new PixelComponent(in, layout, 1, chromaWidth, chromaHeight);
        crSamples = new PixelComponent(in, layout, 2, chromaWidth, chromaHeight);
        isDoubled = subX == 1 && left && width % 2 == 0;
        across = isDoubled ? null : Chroma.Taps.of(width, chromaWidth, subX, left);
        down = Chroma.Taps.of(height, chromaHeight, subY, false);
    }

    List<Plane> read(Workers workers) {
        Plane red = Plane.of(width, height);
        Plane green = Plane.of(width, height);
        Plane blue = Plane.of(width, height);
        workers.rows(
                height,
                (from, to) -> {
                    Band band = new Band();
                    for (int y = from; y < to; y++) {
                        band.read(y);
                        System.arraycopy(band.luma, 0, red.data(), red.row(y), width);
                        System.arraycopy(band.blues.full, 0, green.data(), green.row(y), width);
                        System.arraycopy(band.reds.full, 0, blue.data(), blue.row(y), width);
                    }
                });
        return List.of(red, green, blue);
    }

    /** What one thread needs. */
    private final class Band {
        private final float[] luma = new float[width];
        private final Difference blues = new Difference(cbSamples);
        private final Difference reds = new Difference(crSamples);
        private final PixelComponent.Line line = lumaSamples.line();

        /** A row, left as red, green and blue where luma and the differences of blue and red were. */
        void read(int y) {
            lumaSamples.read(y, luma, 0, line);
            blues.read(y);
            reds.read(y);
            yuv.toRgb(luma, blues.full, reds.full);
        }
    }

    /** Rows of one colour difference; those that rows of pixels lie between are read once. */
    private final class Difference {
        private final PixelComponent samples;
        private final PixelComponent.Line line;
        private final float[][] kept = new float[2][chromaWidth];
        private final int[] keptRow = {-1, -1};
        private final float[] between = new float[chromaWidth];
        private final float[] full = new float[width];

        Difference(PixelComponent samples) {
            this.samples = samples;
            this.line = samples.line();
        }

        void read(int y) {
            float share = down.share()[y];
            float[] row = row(down.first()[y]);
            if (share != 0) {
                blend(row, row(down.second()[y]), share, between);
                row = between;
            }
            if (isDoubled) {
                Chroma.doubled(row, full);
            } else {
                across.read(row, full);
            }
        }

        private float[] row(int y) {
            int slot = y % 2;
            if (keptRow[slot] != y) {
                keptRow[slot] = y;
                samples.read(y, kept[slot], 0, line);
            }
            return kept[slot];
        }

        private static void blend(float[] a, float[] b, float share, float[] out) {
            for (int i = 0; i < out.length; i++) {
                out[i] = a[i] + share * (b[i] - a[i]);
            }
        }
    }
}
