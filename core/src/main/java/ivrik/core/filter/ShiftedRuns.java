package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.Arrays;

/**
 * Samples rows in which long runs of pixels are shifted by the same amount, as in displaced blocks: each run
 * uses one set of weights. For one thread.
 */
final class ShiftedRuns {
    /** Smallest mean run length for which this pays off. */
    private static final int MIN_MEAN = 8;

    /** Tolerance for positions that are one pixel apart. */
    private static final double ROUNDING = 1e-9;

    private final Plane in;
    private final EdgeFill fill;
    private final Sampler sampler;
    private final int taps;
    private final int[] begins;
    private final float[] across;
    private final float[] down;
    private final float[] source;
    private final float[] row;
    private final float[] made;
    private int runs;

    /**
     * @param most maximum number of positions per row
     */
    ShiftedRuns(Plane in, int most, EdgeFill fill, Sampler sampler) {
        this.in = in;
        this.fill = fill;
        this.sampler = sampler;
        this.taps = sampler.taps();
        this.begins = new int[most / MIN_MEAN + 2];
        this.across = new float[taps];
        this.down = new float[taps];
        this.source = new float[most + taps];
        this.row = new float[most];
        this.made = new float[most];
    }

    /**
     * Samples {@code n} positions.
     *
     * @return false, without writing, if the positions do not form long enough runs
     */
    boolean at(double[] x, double[] y, int n, float[] out, int o) {
        if (!inRuns(x, y, n)) {
            return false;
        }
        for (int r = 0; r < runs; r++) {
            int from = begins[r];
            run(x[from], y[from], begins[r + 1] - from, out, o + from);
        }
        return true;
    }

    private boolean inRuns(double[] x, double[] y, int n) {
        int most = n / MIN_MEAN;
        runs = 0;
        int begin = 0;
        for (int i = 0; i < n; i++) {
            boolean goesOn =
                    i > 0 && y[i] == y[begin] && Math.abs(x[i] - x[begin] - (i - begin)) < ROUNDING;
            if (!goesOn) {
                if (runs == most) {
                    return false;
                }
                begin = i;
                begins[runs++] = i;
            }
        }
        begins[runs] = n;
        return true;
    }

    /** Samples consecutive pixels to the right of a position. */
    void run(double x, double y, int length, float[] out, int o) {
        make(x - 0.5, y - 0.5, length);
        System.arraycopy(made, 0, out, o, length);
    }

    /** The arithmetic is the same as for single samples. */
    private void make(double x, double y, int length) {
        double left = Math.floor(x);
        double above = Math.floor(y);
        float right = (float) (x - left);
        float below = (float) (y - above);
        int first = (int) left + sampler.firstTap();
        long top = (long) above + sampler.firstTap();
        if (sampler == Sampler.LINEAR) {
            linear(first, top, right, below, length);
            return;
        }
        sampler.weights(right, across);
        sampler.weights(below, down);
        Arrays.fill(made, 0, length, 0);
        for (int k = 0; k < taps; k++) {
            if (down[k] != 0) {
                fill.read(in, top + k, first, source, length + taps - 1);
                add(source, 0, across[0], row, length, false);
                for (int j = 1; j < taps; j++) {
                    add(source, j, across[j], row, length, true);
                }
                add(row, 0, down[k], made, length, true);
            }
        }
    }

    private void linear(int first, long top, float right, float below, int length) {
        fill.read(in, top, first, source, length + 1);
        between(source, 0, source, 1, right, made, length);
        if (below != 0) {
            fill.read(in, top + 1, first, source, length + 1);
            between(source, 0, source, 1, right, row, length);
            between(made, 0, row, 0, below, made, length);
        }
    }

    private static void between(
            float[] a, int fromA, float[] b, int fromB, float share, float[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = a[fromA + i] + share * (b[fromB + i] - a[fromA + i]);
        }
    }

    private static void add(float[] from, int at, float by, float[] sum, int n, boolean begun) {
        if (begun) {
            for (int i = 0; i < n; i++) {
                sum[i] += by * from[at + i];
            }
        } else {
            for (int i = 0; i < n; i++) {
                sum[i] = by * from[at + i];
            }
        }
    }
}
