package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import java.util.Arrays;

/**
 * Rows of places in which long runs are only shifted, as blocks that jump are: each run is sampled with one
 * set of weights. For one thread.
 */
final class ShiftedRuns {
    /** Runs have at least so many places in the mean, or the row is none of these. */
    private static final int LEAST_MEAN = 8;

    /** Places that lie as far apart as pixels do, but for rounding. */
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

    /** For up to {@code most} places in a row. */
    ShiftedRuns(Plane in, int most, EdgeFill fill, Sampler sampler) {
        this.in = in;
        this.fill = fill;
        this.sampler = sampler;
        this.taps = sampler.taps();
        this.begins = new int[most / LEAST_MEAN + 2];
        this.across = new float[taps];
        this.down = new float[taps];
        this.source = new float[most + taps];
        this.row = new float[most];
        this.made = new float[most];
    }

    /** The values at {@code n} places; false, and nothing is done, where they do not lie in runs. */
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
        int most = n / LEAST_MEAN;
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

    /** From one place on, pixel by pixel to the right. */
    void run(double x, double y, int length, float[] out, int o) {
        make(x - 0.5, y - 0.5, length);
        System.arraycopy(made, 0, out, o, length);
    }

    /** What is done to a value is what is done to one by itself. */
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
