package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Cancellation;

import java.util.Arrays;

/**
 * Mean over a disc around each sample, as in lens defocus. Each pixel is weighted by the area of the disc
 * that it covers. In each row of the disc, the fully covered pixels are the difference of two running sums in
 * double precision; the few at the rim are added one by one. The cost grows linearly with the radius.
 */
public final class DiscMean implements FilteredRows {
    private final Plane in;
    private final int extent;
    private final EdgeFill fill;

    /**
     * For each row of the disc: distance from the centre up to which pixels are fully covered; -1 for none.
     */
    private final int[] whole;

    /** For each row of the disc: weights of the partially covered pixels beyond that distance. */
    private final float[][] rim;

    private final double area;

    /**
     * @param radius in pixels of the plane, above 0
     */
    public DiscMean(Plane in, double radius, EdgeFill fill) {
        this.in = in;
        this.fill = fill;
        this.extent = (int) Math.ceil(radius - 0.5);
        this.whole = new int[2 * extent + 1];
        this.rim = new float[2 * extent + 1][];
        this.area = Math.PI * radius * radius;
        for (int k = 0; k <= extent; k++) {
            Cancellation.poll();
            double[] covered = new double[extent + 1];
            int last = -1;
            int full = -1;
            for (int i = 0; i <= extent; i++) {
                covered[i] = covered(Math.max(i, k), Math.min(i, k), radius);
                last = covered[i] > 0 ? i : last;
                full = covered[i] >= 1 - 1e-12 ? i : full;
            }
            float[] shares = new float[last - full];
            for (int i = 0; i < shares.length; i++) {
                shares[i] = (float) (covered[full + 1 + i] / area);
            }
            for (int row : new int[] {extent + k, extent - k}) {
                whole[row] = full;
                rim[row] = shares;
            }
        }
    }

    /**
     * Area of the disc within the pixel {@code i} to the right of and {@code k} below the centre.
     */
    static double covered(int i, int k, double radius) {
        double left = Math.max(0, i - 0.5);
        double top = Math.max(0, k - 0.5);
        double quarter = quarter(left, i + 0.5, top, k + 0.5, radius);
        return quarter * (i == 0 ? 2 : 1) * (k == 0 ? 2 : 1);
    }

    /**
     * Area of the intersection of a rectangle in the first quadrant with a disc around the origin.
     */
    private static double quarter(double left, double right, double top, double bottom, double r) {
        double whole = bottom < r ? Math.sqrt(r * r - bottom * bottom) : 0;
        double none = top < r ? Math.sqrt(r * r - top * top) : 0;
        double a = Math.clamp(whole, left, right);
        double b = Math.clamp(none, left, right);
        return (a - left) * (bottom - top) + under(b, r) - under(a, r) - (b - a) * top;
    }

    /** Area under a quarter circle from the centre to {@code x}. */
    private static double under(double x, double r) {
        double t = Math.min(x, r);
        return 0.5 * (t * Math.sqrt(r * r - t * t) + r * r * StrictMath.asin(t / r));
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        return new Summer();
    }

    private final class Summer implements Reader {
        private final int margin = extent + 2;
        private final int width = in.width();
        private final float[][] rows =
                new float[whole.length][RowArithmetic.room(width) + 2 * margin];
        private final double[][] sums = new double[whole.length][width + 2 * margin + 1];
        private final long[] kept = new long[whole.length];
        private final float[] sum = new float[RowArithmetic.room(width)];

        Summer() {
            Arrays.fill(kept, Long.MIN_VALUE);
        }

        @Override
        public void row(int y, float[] out, int o) {
            Arrays.fill(sum, 0f);
            for (int k = 0; k < whole.length; k++) {
                Cancellation.poll();
                int slot = fetch(y + k - extent);
                int m = whole[k];
                if (m >= 0) {
                    window(sums[slot], margin - m, margin + m + 1, 1 / area);
                }
                for (int i = 0; i < rim[k].length; i++) {
                    int from = m + 1 + i;
                    RowArithmetic.add(rows[slot], margin + from, rim[k][i], sum, width);
                    if (from > 0) {
                        RowArithmetic.add(rows[slot], margin - from, rim[k][i], sum, width);
                    }
                }
            }
            System.arraycopy(sum, 0, out, o, width);
        }

        private int fetch(int y) {
            int slot = Math.floorMod(y, rows.length);
            if (kept[slot] != y) {
                kept[slot] = y;
                fill.read(in, y, -margin, rows[slot], width + 2 * margin);
                double running = 0;
                for (int i = 0; i < width + 2 * margin; i++) {
                    running += rows[slot][i];
                    sums[slot][i + 1] = running;
                }
            }
            return slot;
        }

        private void window(double[] running, int from, int to, double weight) {
            for (int i = 0; i < width; i++) {
                sum[i] += (float) ((running[to + i] - running[from + i]) * weight);
            }
        }
    }
}
