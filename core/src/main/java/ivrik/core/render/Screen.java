package ivrik.core.render;

import ivrik.core.cache.Keepable;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;

import java.util.Collection;
import java.util.List;

/**
 * A frame as 8-bit screen pixels, as it shows over black.
 *
 * @param pixels opaque ARGB words, row by row; samples are clamped to 0..1 and rounded to the nearest of
 *     256 codes; nobody writes to them
 */
public record Screen(int[] pixels, Size size) implements Keepable {
    @Override
    public Collection<?> arrays() {
        return List.of(pixels);
    }

    public static Screen of(Frame frame, Workers workers) {
        return of(ColourRows.ofPlanes(frame.premultiplied(workers).colour()), workers);
    }

    /** The end of a picture's way; an opaque one need not be planes. */
    static Screen of(Passage passage) {
        Workers workers = passage.site().workers();
        return passage.isOpaque() ? of(passage.rows(), workers) : of(passage.frame(), workers);
    }

    /** The rows of red, green and blue packed as they are made. */
    static Screen of(ColourRows rgb, Workers workers) {
        int width = rgb.width();
        int[] pixels = new int[width * rgb.height()];
        workers.eachRow(
                rgb.height(),
                () -> {
                    Packer packer = new Packer(rgb, width);
                    return y -> packer.row(y, pixels, y * width);
                });
        return new Screen(pixels, new Size(width, rgb.height()));
    }

    /** The scratch rows of one thread; its loops are small and begin at 0 so that they vectorise. */
    private static final class Packer {
        private final ColourRows.Reader reader;
        private final float[][] samples;
        private final int[] red;
        private final int[] green;
        private final int[] blue;

        Packer(ColourRows rgb, int width) {
            reader = rgb.reader();
            samples = new float[3][width];
            red = new int[width];
            green = new int[width];
            blue = new int[width];
        }

        void row(int y, int[] pixels, int o) {
            reader.row(y, samples);
            toCodes(samples[0], red);
            toCodes(samples[1], green);
            toCodes(samples[2], blue);
            join(red, green, blue);
            System.arraycopy(red, 0, pixels, o, red.length);
        }

        /** Clamped as integers: clamping floats would not vectorise. */
        private static void toCodes(float[] samples, int[] codes) {
            for (int x = 0; x < codes.length; x++) {
                codes[x] = Math.min(255, Math.max(0, (int) (samples[x] * 255f + 0.5f)));
            }
        }

        /** Into the first array. */
        private static void join(int[] red, int[] green, int[] blue) {
            for (int x = 0; x < red.length; x++) {
                red[x] = 0xff000000 | red[x] << 16 | green[x] << 8 | blue[x];
            }
        }
    }
}
