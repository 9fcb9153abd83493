package ivrik.core.filter;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Lines;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import java.util.Arrays;

/**
 * Random planes of mean 0 and variance 1: independent numbers on a lattice that is tied to the
 * full-size sequence, drawn through by a Gaussian. The lattice is as wide as the grain allows, so that
 * coarse grain costs no more than fine.
 */
public final class Noise implements Rows {
    /** A grain of one pixel is the numbers themselves. */
    private static final double SIGMA_OF_SIZE = 0.3;

    /** Lattice points lie so many sigmas apart; four of them then hold all but 1 % of a Gaussian. */
    private static final double SIGMAS_APART = 1.25;

    /** Where the Gaussian ends on a lattice as fine as the pixels, in sigmas. */
    private static final double END = 2.5;

    private final Size size;
    private final Origin origin;
    private final Axis across;
    private final Axis down;

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
    public Noise(Size size, double grainPx, double scale, Origin origin) {
        this.size = size;
        this.origin = origin;
        this.across = Axis.of(size.width(), grainPx, scale);
        this.down = Axis.of(size.height(), grainPx, scale);
    }

    /** How the numbers are spread. */
    public enum Spread {
        GAUSSIAN,
        UNIFORM;

        private static final int LEVELS = 4096;

        private float[] table;

        /** Its values at 4096 equal shares, of mean 0 and variance 1. */
        synchronized float[] table() {
            if (table == null) {
                double[] values = new double[LEVELS];
                double squares = 0;
                for (int i = 0; i < LEVELS; i++) {
                    double share = (i + 0.5) / LEVELS;
                    values[i] = this == UNIFORM ? share - 0.5 : Normal.quantile(share);
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
    public int width() {
        return size.width();
    }

    @Override
    public int height() {
        return size.height();
    }

    @Override
    public Reader reader() {
        return new Drawer();
    }

    /** Draws rows; those of the lattice that it needs are made once as the work goes down. */
    private final class Drawer implements Reader {
        private final float[] table = origin.spread.table();
        private final float[] numbers = new float[across.points];
        private final int[] bits = new int[across.points];
        private final float[][] kept = new float[down.taps][size.width()];
        private final long[] keptRow = new long[down.taps];
        private final float[][] four = new float[4][];
        private final float[][] beside = new float[4][size.width()];
        private final float[] sum = new float[size.width()];

        Drawer() {
            Arrays.fill(keptRow, Long.MIN_VALUE);
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
                Lines.four(four, down.weights, w, sum);
                k = 4;
            } else {
                Arrays.fill(sum, 0f);
            }
            for (; k < down.taps; k++) {
                Lines.add(lattice(down.begin[y] + k), down.weights[w + k], sum);
            }
            System.arraycopy(sum, 0, out, o, size.width());
        }

        /** A row of the lattice, drawn through along the row. */
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
                across.draw(numbers, beside, kept[slot]);
            }
            return kept[slot];
        }

        private void look(long key, long row) {
            mix(bits, (int) across.first, (int) Hash.of(key, row));
            for (int i = 0; i < numbers.length; i++) {
                numbers[i] = table[bits[i]];
            }
        }

        private void add(long key, long row, float by) {
            int seed = (int) Hash.of(key, row);
            mix(bits, (int) across.first, seed);
            for (int i = 0; i < numbers.length; i++) {
                numbers[i] += by * table[bits[i]];
            }
        }
    }

    /** Twelve random bits for each place, by the finisher "lowbias32" (Wellons 2018). */
    private static void mix(int[] bits, int from, int seed) {
        for (int i = 0; i < bits.length; i++) {
            int h = (from + i) * 0x9e3779b1 + seed;
            h ^= h >>> 16;
            h *= 0x7feb352d;
            h ^= h >>> 15;
            h *= 0x846ca68b;
            bits[i] = (h ^ h >>> 16) >>> 20;
        }
    }

    /**
     * One direction: which lattice points each sample is made of.
     *
     * @param first the number of the first point there is
     * @param points how many there are
     * @param begin for each sample its first point, counted from the first there is
     * @param weights for each sample {@code taps} weights
     * @param alike whether each sample has the weights of the one before, one point further on
     */
    private record Axis(
            long first, int points, int taps, int[] begin, float[] weights, boolean alike) {
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
            return new Axis(first, begin[n - 1] + taps, taps, begin, weights, fine);
        }

        /** The first of the points nearest to a place. */
        private static long begin(double at, int taps) {
            return Math.round(at - taps / 2.0);
        }

        /**
         * The weights of one sample.
         *
         * @param gain what they sum to; 0 where their squares are to sum to one
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

        /** The sum of the weights where their squares sum to 1. */
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

        /** Draws a row through the lattice's numbers. */
        void draw(float[] numbers, float[][] beside, float[] sum) {
            if (taps == 1) {
                System.arraycopy(numbers, begin[0], sum, 0, sum.length);
            } else if (alike) {
                int k = 0;
                if (taps >= 4) {
                    for (; k < 4; k++) {
                        System.arraycopy(numbers, begin[0] + k, beside[k], 0, sum.length);
                    }
                    Lines.four(beside, weights, 0, sum);
                } else {
                    Arrays.fill(sum, 0f);
                }
                for (; k < taps; k++) {
                    System.arraycopy(numbers, begin[0] + k, beside[0], 0, sum.length);
                    Lines.add(beside[0], weights[k], sum);
                }
            } else if (taps == 4) {
                drawFour(numbers, sum);
            } else {
                for (int i = 0; i < sum.length; i++) {
                    float s = 0;
                    for (int k = 0; k < taps; k++) {
                        s += weights[i * taps + k] * numbers[begin[i] + k];
                    }
                    sum[i] = s;
                }
            }
        }

        private void drawFour(float[] numbers, float[] sum) {
            for (int i = 0; i < sum.length; i++) {
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
