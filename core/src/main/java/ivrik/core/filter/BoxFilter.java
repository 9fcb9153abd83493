package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/**
 * The mean of a window that runs along columns and rows, at a cost that (all but) does not grow with
 * its size, and without subtracting anything that could drift. Down the columns by the blocks of van
 * Herk 1992 and Gil and Werman 1993, here for sums. Shear rows by doubling the window, which vectorises.
 *
 * <p>A window may end within a sample, which then counts by its share.
 */
public final class BoxFilter {
    /** Windows of up to so many samples are added up as they are. */
    private static final int FEW = 9;

    private BoxFilter() {}

    /** ScatteredSamples on either side of the middle one that are in a window as a whole. */
    private static int reach(double width) {
        return (int) Math.floor((width - 1) / 2);
    }

    private static float rest(double width) {
        return (float) ((width - 1) / 2 - reach(width));
    }

    /**
     * A plane's means.
     *
     * @param across the window's width in samples, at least 1
     * @param down its height
     */
    public static Rows of(Plane in, double across, double down, EdgeFill fill) {
        if (across <= FEW && down <= FEW) {
            return new Symmetric(in, half(across), half(down), fill);
        }
        return new ManyRows(in, across, down, fill);
    }

    /** The half of a window's weights from its middle on. */
    private static float[] half(double width) {
        int reach = reach(width);
        float[] half = new float[reach + (rest(width) > 0 ? 2 : 1)];
        Arrays.fill(half, (float) (1 / width));
        if (half.length > reach + 1) {
            half[reach + 1] *= rest(width);
        }
        return half;
    }

    /** Shear rows, and down the columns by blocks. */
    private record ManyRows(Plane in, double across, double down, EdgeFill fill)
            implements Blockwise {
        @Override
        public int block() {
            return 2 * reach(down) + 1;
        }

        @Override
        public Reader reader() {
            Row row = new Row(in.width(), across);
            Sums sums = new Sums(in, reach(down), row.margin, row.samples.length, fill);
            int n = row.samples.length;
            int reach = reach(down);
            float rest = rest(down);
            float[] above = new float[n];
            float[] below = new float[n];
            float weight = (float) (1 / (across * down));
            return (y, out, o) -> {
                System.arraycopy(sums.window(y), 0, row.samples, 0, n);
                if (rest > 0) {
                    sums.read(y - 1, above);
                    sums.read(y + 2 * reach + 1, below);
                    Lines.addPair(above, 0, below, 0, rest, row.samples, 0, n);
                }
                row.write(weight, out, o);
            };
        }
    }

    /** The sums of columns, also of those beside the picture that windows need. */
    private static final class Sums extends Blocks<float[]> {
        private final Plane in;
        private final int reach;
        private final int margin;
        private final EdgeFill fill;

        Sums(Plane in, int reach, int margin, int room, EdgeFill fill) {
            super(2 * reach + 1, room);
            this.in = in;
            this.reach = reach;
            this.margin = margin;
            this.fill = fill;
        }

        @Override
        float[] fresh() {
            return new float[room];
        }

        @Override
        void read(int n, float[] to) {
            fill.read(in, n - reach, -margin, to, in.width() + 2 * margin);
        }

        @Override
        void merge(float[] a, float[] b, float[] out) {
            Lines.sum(a, 0, b, 0, out, in.width() + 2 * margin);
        }
    }

    /** Sums along one row that comes with what lies outside. */
    private static final class Row {
        final int margin;
        final float[] samples;
        private final int width;
        private final int length;
        private final float rest;
        private final float[] doubled;
        private final float[] sum;

        Row(int width, double window) {
            this.width = width;
            this.margin = reach(window) + 1;
            this.length = 2 * margin - 1;
            this.rest = rest(window);
            this.samples = new float[Lines.room(width + 2 * margin) + Lines.room(2 * margin)];
            this.doubled = new float[samples.length];
            this.sum = new float[Lines.room(width)];
        }

        /** Each window's sum by a weight. */
        void write(float weight, float[] out, int o) {
            addPowers();
            Lines.scale(sum, weight, sum);
            if (rest > 0) {
                Lines.addPair(samples, 0, samples, 2 * margin, rest * weight, sum, 0, width);
            }
            System.arraycopy(sum, 0, out, o, width);
        }

        /** Every power of two in the window's length but the first, one after the other. */
        private void addPowers() {
            System.arraycopy(samples, 1, sum, 0, width);
            int covered = 1;
            float[] from = samples;
            for (int power = 2; power <= length; power *= 2) {
                Lines.sum(from, 0, from, power / 2, doubled, width + 2 * margin - power / 2);
                from = doubled;
                if ((length & power) != 0) {
                    Lines.sum(sum, 0, doubled, 1 + covered, sum, width);
                    covered += power;
                }
            }
        }
    }
}
