package ivrik.core.filter;

import static jdk.incubator.vector.VectorOperators.LSHR;
import static jdk.incubator.vector.VectorOperators.XOR;

import ivrik.core.motion.Hash;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorSpecies;

import java.util.Arrays;

/**
 * Random planes of mean 0 and variance 1: independent random numbers on a lattice that is fixed to the
 * full-size sequence, interpolated by a Gaussian. The lattice is as coarse as the grain allows, so that
 * coarse grain costs no more than fine grain.
 */
public final class Noise implements Rows {
    /** Sigma per grain size; grain of 1 px is uncorrelated. */
    private static final double SIGMA_OF_SIZE = 0.3;

    /** Lattice distance in sigmas; four lattice points cover all but 1 % of the Gaussian. */
    private static final double SIGMAS_APART = 1.25;

    /** Radius of the Gaussian on a lattice as fine as the pixels, in sigmas. */
    private static final double END = 2.5;

    private static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    private final Size size;
    private final Origin origin;
    private final Axis across;
    private final Axis down;

    /**
     * Origin of the random numbers.
     *
     * @param own key of this channel
     * @param common key shared by all channels
     * @param shared part of the variance that is common, 0..1
     */
    public record Origin(long own, long common, double shared, Spread spread) {}

    /**
     * @param grainPx full width at half maximum of the autocorrelation, in pixels of the full-size sequence;
     *     up to 1 every pixel is independent
     * @param scale pixels of the plane per pixel of the sequence; a smaller plane is the reduced version of
     *     the large one
     */
    public Noise(Size size, double grainPx, double scale, Origin origin) {
        this.size = size;
        this.origin = origin;
        this.across = Axis.of(size.width(), grainPx, scale);
        this.down = Axis.of(size.height(), grainPx, scale);
    }

    /** Distributions of the random numbers. */
    public enum Spread {
        GAUSSIAN,
        UNIFORM;

        private static final int LEVELS = 4096;

        private float[] table;

        /** Quantiles at 4096 equal probabilities, mean 0 and variance 1. */
        synchronized float[] table() {
            if (table == null) {
                double[] values = new double[LEVELS];
                double squares = 0;
                for (int i = 0; i < LEVELS; i++) {
                    double share = (i + 0.5) / LEVELS;
                    values[i] = this == UNIFORM ? share - 0.5 : NormalDistribution.quantile(share);
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

    @Override
    public Size size() {
        return size;
    }

    @Override
    public Reader reader() {
        return new Drawer();
    }

    /** Computes rows; the lattice rows are computed once as processing moves down. */
    private final class Drawer implements Reader {
        private final float[] table = origin.spread.table();
        private final float[] numbers = new float[(Math.max(1, across.stride) + 1) * across.run()];
        private final float[] runs = new float[Math.max(1, across.stride) * across.run()];
        private final int[] places = new int[RowArithmetic.room(across.points)];
        private final int[] bits = new int[places.length];
        private final float[][] kept = new float[down.taps][RowArithmetic.room(size.width())];
        private final long[] keptRow = new long[down.taps];
        private final float[][] four = new float[4][];
        private final float[] sum = new float[size.width()];

        Drawer() {
            Arrays.fill(keptRow, Long.MIN_VALUE);
            for (int i = 0; i < places.length; i++) {
                places[i] = ((int) across.first + i) * 0x9e3779b1;
            }
        }

        @Override
        public void row(int y, float[] out, int o) {
            if (down.taps == 1) {
                System.arraycopy(lattice(down.begin[y]), 0, out, o, size.width());
                return;
            }
            int w = y * down.taps;
            int k = 0;
            if (down.taps >= 4) {
                for (int i = 0; i < 4; i++) {
                    four[i] = lattice(down.begin[y] + i);
                }
                RowArithmetic.four(four, down.weights, w, sum);
                k = 4;
            } else {
                Arrays.fill(sum, 0f);
            }
            for (; k < down.taps; k++) {
                RowArithmetic.add(lattice(down.begin[y] + k), down.weights[w + k], sum);
            }
            System.arraycopy(sum, 0, out, o, size.width());
        }

        /** A lattice row, interpolated horizontally. */
        private float[] lattice(int row) {
            int slot = Math.floorMod(row, kept.length);
            if (keptRow[slot] != row) {
                keptRow[slot] = row;
                long at = row + down.first;
                if (origin.shared == 0 || origin.shared == 1) {
                    look(origin.shared == 0 ? origin.own : origin.common, at);
                } else {
                    Arrays.fill(numbers, 0f);
                    add(origin.own, at, (float) Math.sqrt(1 - origin.shared));
                    add(origin.common, at, (float) Math.sqrt(origin.shared));
                }
                across.draw(numbers, runs, kept[slot]);
            }
            return kept[slot];
        }

        private void look(long key, long row) {
            mix(places, (int) Hash.of(key, row), bits);
            for (int i = 0; i < bits.length; i += INTS.length()) {
                FloatVector.fromArray(FLOATS, table, 0, bits, i).intoArray(numbers, i);
            }
        }

        private void add(long key, long row, float by) {
            mix(places, (int) Hash.of(key, row), bits);
            for (int i = 0; i < bits.length; i += INTS.length()) {
                FloatVector values = FloatVector.fromArray(FLOATS, table, 0, bits, i);
                FloatVector.fromArray(FLOATS, numbers, i).add(values.mul(by)).intoArray(numbers, i);
            }
        }
    }

    /** Twelve random bits per position, by the integer hash "lowbias32" (Wellons 2018). */
    private static void mix(int[] places, int seed, int[] bits) {
        for (int i = 0; i < bits.length; i += INTS.length()) {
            IntVector h = IntVector.fromArray(INTS, places, i).add(seed);
            h = h.lanewise(XOR, h.lanewise(LSHR, 16)).mul(0x7feb352d);
            h = h.lanewise(XOR, h.lanewise(LSHR, 15)).mul(0x846ca68b);
            h.lanewise(XOR, h.lanewise(LSHR, 16)).lanewise(LSHR, 20).intoArray(bits, i);
        }
    }

    /**
     * One direction: the lattice points that contribute to each sample.
     *
     * @param first number of the first lattice point
     * @param points number of lattice points
     * @param begin for each sample: its first lattice point, relative to {@code first}
     * @param weights {@code taps} weights per sample
     * @param stride constant step of {@code begin} between samples with equal weights; 0 if there is none
     */
    private record Axis(
            long first, int points, int taps, int[] begin, float[] weights, int stride) {
        static Axis of(int n, double grainPx, double scale) {
            double sigma = grainPx > 1 ? SIGMA_OF_SIZE * grainPx : 0;
            double step = Math.max(1, SIGMAS_APART * sigma);
            double seen = Math.sqrt(sigma * sigma + Math.max(0, 1 / (scale * scale) - 1) / 12);
            boolean fine = step == 1 && scale == 1;
            int taps =
                    seen == 0
                            ? 1
                            : fine
                                    ? 2 * (int) Math.ceil(END * seen) + 1
                                    : Math.max(4, 2 * (int) Math.ceil(END * seen / step - 1e-9));
            long first = begin(0.5 / scale / step, taps);
            int[] begin = new int[n];
            float[] weights = new float[n * taps];
            double gain = gain(sigma, step);
            for (int i = 0; i < n; i++) {
                double at = (i + 0.5) / scale / step;
                long from = begin(at, taps);
                begin[i] = (int) (from - first);
                weigh(at, from, taps, step, seen, scale < 1 ? gain : 0, weights, i * taps);
            }
            int stride = step == 1 && 1 / scale == Math.rint(1 / scale) ? (int) (1 / scale) : 0;
            return new Axis(first, begin[n - 1] + taps, taps, begin, weights, stride);
        }

        /** The first of the lattice points nearest to a position. */
        private static long begin(double at, int taps) {
            return Math.round(at - taps / 2.0);
        }

        /**
         * Computes the weights of one sample.
         *
         * @param gain sum of the weights; 0 to make the sum of their squares 1
         */
        private static void weigh(
                double at,
                long from,
                int taps,
                double step,
                double sigma,
                double gain,
                float[] weights,
                int to) {
            double[] w = new double[taps];
            double sum = 0;
            double squares = 0;
            for (int k = 0; k < taps; k++) {
                double t = sigma == 0 ? 0 : (at - (from + k + 0.5)) * step / sigma;
                w[k] = StrictMath.exp(-0.5 * t * t);
                sum += w[k];
                squares += w[k] * w[k];
            }
            double norm = gain == 0 ? 1 / Math.sqrt(squares) : gain / sum;
            for (int k = 0; k < taps; k++) {
                weights[to + k] = (float) (w[k] * norm);
            }
        }

        /** Sum of the weights if the sum of their squares is 1. */
        private static double gain(double sigma, double step) {
            double sum = 1;
            double squares = 1;
            for (int k = 1; sigma > 0 && k <= 40; k++) {
                double t = k * step / sigma;
                double w = StrictMath.exp(-0.5 * t * t);
                sum += 2 * w;
                squares += 2 * w * w;
            }
            return sum / Math.sqrt(squares);
        }

        /** Interpolates a row from lattice numbers. */
        void draw(float[] numbers, float[] runs, float[] sum) {
            if (taps == 1 && stride <= 1) {
                System.arraycopy(numbers, begin[0], sum, 0, begin.length);
            } else if (stride == 1) {
                RowArithmetic.weighted(numbers, begin[0], weights, 0, taps, sum, begin.length);
            } else if (stride > 1) {
                drawApart(numbers, runs, sum);
            } else if (taps == 4) {
                drawFour(numbers, sum);
            } else {
                for (int i = 0; i < begin.length; i++) {
                    float s = 0;
                    for (int k = 0; k < taps; k++) {
                        s += weights[i * taps + k] * numbers[begin[i] + k];
                    }
                    sum[i] = s;
                }
            }
        }

        /** Room for every {@code stride}-th lattice point. */
        private int run() {
            return RowArithmetic.room(points / Math.max(1, stride) + 1) + RowArithmetic.room(taps);
        }

        /** Interpolates after regrouping the lattice points that are used together. */
        private void drawApart(float[] numbers, float[] runs, float[] sum) {
            int run = run();
            for (int r = 0; r < stride; r++) {
                RowArithmetic.every(numbers, r, stride, runs, r * run, points / stride);
            }
            Arrays.fill(sum, 0f);
            for (int k = 0; k < taps; k++) {
                int point = begin[0] + k;
                int from = point % stride * run + point / stride;
                RowArithmetic.add(runs, from, weights[k], sum, begin.length);
            }
        }

        private void drawFour(float[] numbers, float[] sum) {
            for (int i = 0; i < begin.length; i++) {
                int b = begin[i];
                int w = 4 * i;
                sum[i] =
                        weights[w] * numbers[b]
                                + weights[w + 1] * numbers[b + 1]
                                + weights[w + 2] * numbers[b + 2]
                                + weights[w + 3] * numbers[b + 3];
            }
        }
    }
}
