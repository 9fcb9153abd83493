package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Cancel;

import java.util.Arrays;

/**
 * The mean of a disc about each sample, as a lens out of focus gives it. Each sample counts as far as the
 * disc covers its pixel. In a row of the disc those that it covers wholly are the difference of two running
 * sums, kept in double precision; the few at its rim are added one by one. The cost grows with the radius,
 * not with its square.
 */
public final class Disc implements Filtered {
    private final Plane in;
    private final int reach;
    private final EdgeFill fill;

    /** For each row of the disc, how far from the middle pixels are covered wholly; -1 for nowhere. */
    private final int[] whole;

    /** For each row, how far those beyond are covered, as shares of the disc. */
    private final float[][] rim;

    private final double area;

    /**
     * @param radius in pixels of the plane, over 0
     */
    public Disc(Plane in, double radius, EdgeFill fill) {
        this.in = in;
        this.fill = fill;
        this.reach = (int) Math.ceil(radius - 0.5);
        this.whole = new int[2 * reach + 1];
        this.rim = new float[2 * reach + 1][];
        this.area = Math.PI * radius * radius;
        for (int k = 0; k <= reach; k++) {
            Cancel.poll();
            double[] covered = new double[reach + 1];
            int last = -1;
            int full = -1;
            for (int i = 0; i <= reach; i++) {
                covered[i] = covered(Math.max(i, k), Math.min(i, k), radius);
                last = covered[i] > 0 ? i : last;
                full = covered[i] >= 1 - 1e-12 ? i : full;
            }
            float[] shares = new float[last - full];
            for (int i = 0; i < shares.length; i++) {
                shares[i] = (float) (covered[full + 1 + i] / area);
            }
            for (int row : new int[] {reach + k, reach - k}) {
                whole[row] = full;
                rim[row] = shares;
            }
        }
    }

    /** How much of the pixel {@code i} to the right and {@code k} below the middle lies in the disc. */
    static double covered(int i, int k, double radius) {
        double left = Math.max(0, i - 0.5);
        double top = Math.max(0, k - 0.5);
        double quarter = quarter(left, i + 0.5, top, k + 0.5, radius);
        return quarter * (i == 0 ? 2 : 1) * (k == 0 ? 2 : 1);
    }

    /** The area of a rectangle that lies in a disc about the origin, with all sides at or above 0. */
    private static double quarter(double left, double right, double top, double bottom, double r) {
        double whole = bottom < r ? Math.sqrt(r * r - bottom * bottom) : 0;
        double none = top < r ? Math.sqrt(r * r - top * top) : 0;
        double a = Math.clamp(whole, left, right);
        double b = Math.clamp(none, left, right);
        return (a - left) * (bottom - top) + under(b, r) - under(a, r) - (b - a) * top;
    }

    /** The area under a quarter circle from the middle to {@code x}. */
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
        private final int margin = reach + 2;
        private final int width = in.width();
        private final float[][] rows = new float[whole.length][Lines.room(width) + 2 * margin];
        private final double[][] sums = new double[whole.length][width + 2 * margin + 1];
        private final long[] kept = new long[whole.length];
        private final float[] sum = new float[Lines.room(width)];

        Summer() {
            Arrays.fill(kept, Long.MIN_VALUE);
        }

        @Override
        public void row(int y, float[] out, int o) {
            Arrays.fill(sum, 0f);
            for (int k = 0; k < whole.length; k++) {
                Cancel.poll();
                int slot = fetch(y + k - reach);
                int m = whole[k];
                if (m >= 0) {
                    window(sums[slot], margin - m, margin + m + 1, 1 / area);
                }
                for (int i = 0; i < rim[k].length; i++) {
                    int from = m + 1 + i;
                    Lines.add(rows[slot], margin + from, rim[k][i], sum, width);
                    if (from > 0) {
                        Lines.add(rows[slot], margin - from, rim[k][i], sum, width);
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
