package ivrik.core.filter;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;

import java.util.Arrays;

/**
 * Random planes of mean 0 and variance 1: independent numbers on a lattice that is tied to the
 * full-size sequence, drawn through by a Gaussian. The lattice is as wide as the grain allows, so that
 * coarse grain costs no more than fine.
 */
public final class Noise {
    /** Where the Gaussian ends, in sigmas. */
    private static final double END = 3.3;

    /** A grain of one pixel is the numbers themselves. */
    private static final double SIGMA_OF_SIZE = 0.3;

    private static final int LEVELS = 4096;

    private Noise() {}

    /** How the numbers are spread. */
    public enum Spread {
        GAUSSIAN,
        UNIFORM;

        private float[] table;

        /** Its values at 4096 equal shares, of mean 0 and variance 1. */
        synchronized float[] table() {
            if (table == null) {
                double[] values = new double[LEVELS];
                double squares = 0;
                for (int i = 0; i < LEVELS; i++) {
                    double share = (i + 0.5) / LEVELS;
                    values[i] = this == UNIFORM ? share - 0.5 : normalQuantile(share);
                    squares += values[i] * values[i];
                }
                double norm = Math.sqrt(LEVELS / squares);
                table = new float[LEVELS];
                for (int i = 0; i < LEVELS; i++) {
                    table[i] = (float) (values[i] * norm);
                }
            }
            return table;
        }
    }

    /**
     * What the numbers are drawn from.
     *
     * @param own a key for this lane
     * @param common a key for all lanes
     * @param shared how much of the variance is common, 0..1
     */
    public record Origin(long own, long common, double shared, Spread spread) {}

    /**
     * A plane of noise.
     *
     * @param grainPx the full width at half maximum of the noise's autocorrelation, in pixels of the
     *     full-size sequence; at 1 and below each pixel is independent
     * @param scale pixels of the plane to a pixel of the sequence; a smaller plane is the smaller
     *     version of the large one
     */
    public static Plane of(
            Size size, double grainPx, double scale, Origin origin, Workers workers) {
        Axis across = Axis.of(size.width(), grainPx, scale);
        Axis down = Axis.of(size.height(), grainPx, scale);
        Plane rows = Plane.of(size.width(), down.points);
        workers.rows(
                down.points,
                (from, to) -> {
                    float[] numbers = new float[across.points];
                    int[] bits = new int[across.points];
                    float[] shifted = new float[size.width()];
                    float[] sum = new float[size.width()];
                    for (int j = from; j < to; j++) {
                        numbers(origin, down.first + j, across.first, bits, numbers);
                        across.draw(numbers, shifted, sum);
                        System.arraycopy(sum, 0, rows.data(), rows.row(j), sum.length);
                    }
                });
        if (down.isPlain()) {
            return rows;
        }
        Plane out = Plane.of(size.width(), size.height());
        workers.rows(
                size.height(),
                (from, to) -> {
                    Window window = new Window(rows, ivrik.core.picture.EdgeFill.EMPTY, down.taps);
                    float[][] four = new float[4][];
                    float[] sum = new float[size.width()];
                    for (int y = from; y < to; y++) {
                        Arrays.fill(sum, 0f);
                        for (int k = 0; k < down.taps; k += 4) {
                            for (int i = 0; i < 4; i++) {
                                four[i] = window.row(down.begin[y] + k + i);
                            }
                            Lines.addFour(four, down.weights, y * down.taps + k, sum);
                        }
                        System.arraycopy(sum, 0, out.data(), out.row(y), sum.length);
                    }
                });
        return out;
    }

    private static void numbers(Origin o, long row, long first, int[] bits, float[] out) {
        float[] table = o.spread.table();
        Arrays.fill(out, 0f);
        if (o.shared < 1) {
            add(o.own, row, first, (float) Math.sqrt(1 - o.shared), table, bits, out);
        }
        if (o.shared > 0) {
            add(o.common, row, first, (float) Math.sqrt(o.shared), table, bits, out);
        }
    }

    private static void add(
            long key, long row, long first, float by, float[] table, int[] bits, float[] out) {
        int seed = (int) Hash.of(key, row);
        int from = (int) first;
        for (int i = 0; i < bits.length; i++) {
            bits[i] = mixed((from + i) * 0x9e3779b1 + seed);
        }
        for (int i = 0; i < out.length; i++) {
            out[i] += by * table[bits[i] >>> 20];
        }
    }

    /** The finisher of 32 bits "lowbias32" (Wellons 2018). */
    private static int mixed(int z) {
        int h = z;
        h ^= h >>> 16;
        h *= 0x7feb352d;
        h ^= h >>> 15;
        h *= 0x846ca68b;
        return h ^ h >>> 16;
    }

    /**
     * One direction: which lattice points each sample is made of.
     *
     * @param first the number of the first point there is
     * @param points how many there are
     * @param begin for each sample its first point, counted from the first there is
     * @param weights for each sample {@code taps} weights, a multiple of four
     * @param alike whether each sample has the weights of the one before, one point further on
     */
    private record Axis(
            long first, int points, int taps, int[] begin, float[] weights, boolean alike) {
        static Axis of(int n, double grainPx, double scale) {
            double sigma = grainPx > 1 ? SIGMA_OF_SIZE * grainPx : 0;
            double step = Math.max(1, sigma);
            double seen = Math.sqrt(sigma * sigma + Math.max(0, 1 / (scale * scale) - 1) / 12);
            double gain = sigma == 0 ? 1 : gain(sigma, step);
            int reach = (int) Math.ceil(END * seen / step);
            int taps = seen == 0 ? 1 : (2 * reach + 1 + 3) / 4 * 4;
            long first = (long) Math.floor(0.5 / scale / step) - reach;
            int[] begin = new int[n];
            float[] weights = new float[n * taps];
            for (int i = 0; i < n; i++) {
                double at = (i + 0.5) / scale / step;
                long middle = (long) Math.floor(at);
                begin[i] = (int) (middle - reach - first);
                if (seen == 0) {
                    weights[i] = 1;
                    continue;
                }
                double[] w = new double[2 * reach + 1];
                double sum = 0;
                double squares = 0;
                for (int k = 0; k < w.length; k++) {
                    double t = (at - (middle - reach + k + 0.5)) * step / seen;
                    w[k] = StrictMath.exp(-0.5 * t * t);
                    sum += w[k];
                    squares += w[k] * w[k];
                }
                double norm = scale >= 1 ? 1 / Math.sqrt(squares) : gain / sum;
                for (int k = 0; k < w.length; k++) {
                    weights[i * taps + k] = (float) (w[k] * norm);
                }
            }
            boolean alike = step == 1 && scale == 1;
            return new Axis(first, begin[n - 1] + taps, taps, begin, weights, alike);
        }

        /** The sum of the weights where their squares sum to 1. */
        private static double gain(double sigma, double step) {
            double sum = 0;
            double squares = 0;
            for (int k = -40; k <= 40; k++) {
                double t = k * step / sigma;
                double w = StrictMath.exp(-0.5 * t * t);
                sum += w;
                squares += w * w;
            }
            return sum / Math.sqrt(squares);
        }

        boolean isPlain() {
            return taps == 1 && points == begin.length;
        }

        /** Draws a row through the lattice's numbers. */
        void draw(float[] numbers, float[] shifted, float[] sum) {
            if (alike) {
                Arrays.fill(sum, 0f);
                for (int k = 0; k < taps; k++) {
                    System.arraycopy(numbers, begin[0] + k, shifted, 0, sum.length);
                    Lines.add(shifted, weights[k], sum);
                }
                return;
            }
            for (int i = 0; i < sum.length; i++) {
                float s = 0;
                for (int k = 0; k < taps; k++) {
                    s += weights[i * taps + k] * numbers[begin[i] + k];
                }
                sum[i] = s;
            }
        }
    }

    /** The quantile of the normal distribution, by bisection of its distribution function. */
    private static double normalQuantile(double share) {
        double low = -9;
        double high = 9;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (normal(middle) < share) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** The normal distribution function by its series about 0 (Abramowitz and Stegun 26.2.11). */
    private static double normal(double x) {
        double term = x;
        double sum = x;
        for (int k = 1; k < 300; k++) {
            term *= x * x / (2 * k + 1);
            sum += term;
        }
        return 0.5 + sum * StrictMath.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI);
    }
}
