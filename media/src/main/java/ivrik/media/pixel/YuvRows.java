package ivrik.media.pixel;

import static org.bytedeco.ffmpeg.global.avutil.*;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;

import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVPixFmtDescriptor;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Luma and colour difference read as red, green and blue, row by row: no planes between. Colour difference
 * that has fewer samples is drawn through linearly.
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

    /** Whether there is a sample of colour difference for every second pixel, beginning with the first. */
    private final boolean isDoubled;

    /**
     * @param memory of the picture's planes
     * @param fullRange whether codes from end to end stand for black to white
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

    /** Luma and the differences of blue and red are read to where red, green and blue are to be. */
    @Override
    public Reader reader() {
        Band band = new Band();
        return (y, rgb) -> {
            band.read(y, rgb[0], rgb[1], rgb[2], 0);
            yuv.toRgb(rgb[0], rgb[1], rgb[2], 0, width);
        };
    }

    @Override
    public List<Plane> toPlanes(Workers workers) {
        Plane red = Plane.of(width, height);
        Plane green = Plane.of(width, height);
        Plane blue = Plane.of(width, height);
        workers.rows(
                height,
                (from, to) -> {
                    Band band = new Band();
                    for (int y = from; y < to; y++) {
                        int row = y * width;
                        band.read(y, red.data(), green.data(), blue.data(), row);
                        yuv.toRgb(red.data(), green.data(), blue.data(), row, row + width);
                    }
                });
        return List.of(red, green, blue);
    }

    @Override
    public Optional<List<Rows>> channels() {
        return Optional.of(
                IntStream.range(0, 3)
                        .mapToObj(number -> Rows.read(size(), () -> channel(number)))
                        .toList());
    }

    /** Red, green or blue by itself, by its number; for red and blue one colour difference is enough. */
    private Rows.Reader channel(int number) {
        PixelComponent.Line line = lumaSamples.line();
        Difference blues = new Difference(cbSamples);
        Difference reds = new Difference(crSamples);
        float[] own = new float[width];
        float[] cb = new float[width];
        float[] cr = new float[width];
        return (y, out, o) -> {
            float[] luma = o == 0 ? out : own; // what begins at 0 is the quickest
            lumaSamples.read(y, luma, 0, line);
            if (number != 0) {
                blues.read(y, cb, 0);
            }
            if (number != 2) {
                reds.read(y, cr, 0);
            }
            switch (number) {
                case 0 -> yuv.toRed(luma, cr, width);
                case 1 -> yuv.toGreen(luma, cb, cr, width);
                default -> yuv.toBlue(luma, cb, width);
            }
            if (luma == own) {
                System.arraycopy(luma, 0, out, o, width);
            }
        };
    }

    /** What one thread needs. */
    private final class Band {
        private final Difference blues = new Difference(cbSamples);
        private final Difference reds = new Difference(crSamples);
        private final PixelComponent.Line line = lumaSamples.line();

        /** A row of luma and the differences of blue and red, from {@code o} on. */
        void read(int y, float[] luma, float[] cb, float[] cr, int o) {
            lumaSamples.read(y, luma, o, line);
            blues.read(y, cb, o);
            reds.read(y, cr, o);
        }
    }

    /** Rows of one colour difference; those that rows of pixels lie between are read and drawn through once. */
    private final class Difference {
        private final PixelComponent samples;
        private final PixelComponent.Line line;
        private final float[] read = new float[chromaWidth];
        private final float[][] kept = new float[2][width];
        private final int[] keptRow = {-1, -1};
        private final float[] between = new float[width];

        Difference(PixelComponent samples) {
            this.samples = samples;
            this.line = samples.line();
        }

        /** What belongs to row {@code y} of pixels, into {@code out} from {@code o} on. */
        void read(int y, float[] out, int o) {
            double place = Chroma.place(y, chromaHeight, subY, false);
            int first = (int) place;
            float share = (float) (place - first);
            float[] row = row(first);
            if (share != 0) {
                float[] result = o == 0 ? out : between; // what begins at 0 is the quickest
                blend(row, row(first + 1), share, result);
                row = result;
            }
            if (row != out) {
                System.arraycopy(row, 0, out, o, width);
            }
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

        private static void blend(float[] a, float[] b, float share, float[] out) {
            for (int i = 0; i < a.length; i++) {
                out[i] = a[i] + share * (b[i] - a[i]);
            }
        }
    }
}
