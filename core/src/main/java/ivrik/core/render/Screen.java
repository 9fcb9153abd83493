package ivrik.core.render;

import ivrik.core.cache.Cacheable;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;

import java.util.Collection;
import java.util.List;

/**
 * A frame as 8-bit screen pixels over black.
 *
 * @param pixels opaque ARGB, row by row; samples are clamped to 0..1 and rounded to 256 code values; must not
 *     be modified
 */
public record Screen(int[] pixels, Size size) implements Cacheable {
    @Override
    public Collection<?> arrays() {
        return List.of(pixels);
    }

    public static Screen of(Frame frame, Workers workers) {
        return of(ColourRows.ofPlanes(frame.premultiplied(workers).colour()), workers);
    }

    /** The screen pixels of a picture state; an opaque picture needs no planes. */
    static Screen of(PictureState state) {
        Workers workers = state.renderContext().workers();
        return state.isOpaque() ? of(state.rows(), workers) : of(state.frame(), workers);
    }

    /** Packs rows of red, green and blue as they are computed. */
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

    /** Scratch rows of one thread; the loops are small and start at 0 so that they vectorise. */
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

        /** Clamps integers, because clamping floats does not vectorise. */
        private static void toCodes(float[] samples, int[] codes) {
            for (int x = 0; x < codes.length; x++) {
                codes[x] = Math.min(255, Math.max(0, (int) (samples[x] * 255f + 0.5f)));
            }
        }

        /** Packs three rows into the first array. */
        private static void join(int[] red, int[] green, int[] blue) {
            for (int x = 0; x < red.length; x++) {
                red[x] = 0xff000000 | red[x] << 16 | green[x] << 8 | blue[x];
            }
        }
    }
}
