package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/**
 * Moving average over a rectangle. The cost is almost independent of the size, and nothing is subtracted, so
 * that rounding errors cannot accumulate. Columns use the block algorithm of van Herk 1992 and Gil and Werman
 * 1993, applied to sums. Rows double the window repeatedly, which vectorises.
 * <p>A window may end within a sample, which then has a fractional weight.
 */
public final class BoxFilter {
    /** Windows up to this number of samples are summed directly. */
    private static final int FEW = 9;

    private BoxFilter() {}

    /** Number of samples on either side of the centre that are inside the window completely. */
    private static int wholeRadius(double width) {
        return (int) Math.floor((width - 1) / 2);
    }

    private static float rest(double width) {
        return (float) ((width - 1) / 2 - wholeRadius(width));
    }

    /**
     * @param across width of the window in samples, at least 1
     * @param down height of the window in samples, at least 1
     */
    public static Rows of(Plane in, double across, double down, EdgeFill fill) {
        if (across <= FEW && down <= FEW) {
            return new SymmetricConvolution(in, half(across), half(down), fill);
        }
        return new ManyRows(in, across, down, fill);
    }

    /** Weights of one half of the window, from the centre outwards. */
    private static float[] half(double width) {
        int wholeRadius = wholeRadius(width);
        float[] half = new float[wholeRadius + (rest(width) > 0 ? 2 : 1)];
        Arrays.fill(half, (float) (1 / width));
        if (half.length > wholeRadius + 1) {
            half[wholeRadius + 1] *= rest(width);
        }
        return half;
    }

    /** Along rows by doubling, along columns by blocks. */
    private record ManyRows(Plane in, double across, double down, EdgeFill fill)
            implements BlockRows {
        @Override
        public int block() {
            return 2 * wholeRadius(down) + 1;
        }

        @Override
        public Reader reader() {
            Row row = new Row(in.width(), across);
            Sums sums = new Sums(in, wholeRadius(down), row.margin, row.samples.length, fill);
            int n = row.samples.length;
            int wholeRadius = wholeRadius(down);
            float rest = rest(down);
            float[] above = new float[n];
            float[] below = new float[n];
            float weight = (float) (1 / (across * down));
            return (y, out, o) -> {
                System.arraycopy(sums.window(y), 0, row.samples, 0, n);
                if (rest > 0) {
                    sums.read(y - 1, above);
                    sums.read(y + 2 * wholeRadius + 1, below);
                    RowArithmetic.addPair(above, 0, below, 0, rest, row.samples, 0, n);
                }
                row.write(weight, out, o);
            };
        }
    }

    /** Column sums, including columns beyond the picture that windows need. */
    private static final class Sums extends VanHerkWindow<float[]> {
        private final Plane in;
        private final int wholeRadius;
        private final int margin;
        private final EdgeFill fill;

        Sums(Plane in, int wholeRadius, int margin, int room, EdgeFill fill) {
            super(2 * wholeRadius + 1, room);
            this.in = in;
            this.wholeRadius = wholeRadius;
            this.margin = margin;
            this.fill = fill;
        }

        @Override
        float[] fresh() {
            return new float[room];
        }

        @Override
        void read(int n, float[] to) {
            fill.read(in, n - wholeRadius, -margin, to, in.width() + 2 * margin);
        }

        @Override
        void merge(float[] a, float[] b, float[] out) {
            RowArithmetic.sum(a, 0, b, 0, out, in.width() + 2 * margin);
        }
    }

    /** Sums along one row that includes the samples beyond the edges. */
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
            this.margin = wholeRadius(window) + 1;
            this.length = 2 * margin - 1;
            this.rest = rest(window);
            this.samples =
                    new float
                            [RowArithmetic.room(width + 2 * margin)
                                    + RowArithmetic.room(2 * margin)];
            this.doubled = new float[samples.length];
            this.sum = new float[RowArithmetic.room(width)];
        }

        /** Writes the sum of each window multiplied by a weight. */
        void write(float weight, float[] out, int o) {
            addPowers();
            RowArithmetic.scale(sum, weight, sum);
            if (rest > 0) {
                RowArithmetic.addPair(
                        samples, 0, samples, 2 * margin, rest * weight, sum, 0, width);
            }
            System.arraycopy(sum, 0, out, o, width);
        }

        /** Adds the powers of two of the window length, except the first. */
        private void addPowers() {
            System.arraycopy(samples, 1, sum, 0, width);
            int covered = 1;
            float[] from = samples;
            for (int power = 2; power <= length; power *= 2) {
                RowArithmetic.sum(
                        from, 0, from, power / 2, doubled, width + 2 * margin - power / 2);
                from = doubled;
                if ((length & power) != 0) {
                    RowArithmetic.sum(sum, 0, doubled, 1 + covered, sum, width);
                    covered += power;
                }
            }
        }
    }
}
