package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;

/**
 * Point spread of scattered light, between a Gaussian and the longer tail of a radial exponential exp(-r / l)
 * with the same mean square radius. The exponential is a sum of Gaussians: their variances 2 u l^2 follow a
 * gamma distribution of shape 3/2, of which four parts are used, each at its mean. The light within any
 * radius differs from that of the exponential by at most 0.013.
 */
public final class Halo {
    /** Means of the gamma distribution over 0..0.25, 0.25..0.8, 0.8..2 and above. */
    private static final double[] MEANS = {0.1463, 0.5255, 1.3257, 3.1522};

    /** Probabilities of these parts. */
    private static final double[] SHARES = {0.0811, 0.2603, 0.3972, 0.2614};

    /** Mean square radius of a radial exponential, in squares of its length. */
    private static final double MEAN_SQUARE = 6;

    /** Sampling distance of a Gaussian: at most its sigma divided by this. */
    private static final double SIGMAS_APART = 1.4;

    /** Variance added by one halving, in squares of the input pixel. */
    private static final double OF_HALVING = 0.75;

    /** Variance of a cubic B-spline, in squares of its sample distance. */
    private static final double OF_SPLINE = 1.0 / 3;

    private Halo() {}

    /**
     * Spreads light. Large sigmas are computed at reduced size by repeated halving, a blur and a cubic
     * B-spline, whose variances add up. The rows are then computed at most twice and need no full plane.
     *
     * @param sigma sigma of the Gaussian, in px
     * @param tail 0 for the Gaussian, 1 for the exponential, linear between
     */
    public static Rows of(Rows in, double sigma, double tail, EdgeFill fill, Workers workers) {
        if (tail == 0 && apart(sigma) == 1) {
            return Gaussian.of(in.toPlane(workers), sigma, sigma, fill, workers);
        }
        List<double[]> parts = new ArrayList<>();
        if (tail < 1) {
            parts.add(new double[] {sigma, 1 - tail});
        }
        double length = sigma * Math.sqrt(2 / MEAN_SQUARE);
        for (int i = 0; tail > 0 && i < MEANS.length; i++) {
            parts.add(new double[] {length * Math.sqrt(2 * MEANS[i]), tail * SHARES[i]});
        }
        List<double[]> fine = parts.stream().filter(p -> apart(p[0]) == 1).toList();
        List<double[]> coarse = parts.stream().filter(p -> apart(p[0]) > 1).toList();
        if (fine.isEmpty()) {
            return coarse(in, coarse, fill, workers);
        }
        Plane light = in.toPlane(workers);
        Plane sum =
                coarse.isEmpty()
                        ? Plane.of(in.width(), in.height())
                        : coarse(Rows.of(light), coarse, fill, workers).toPlane(workers);
        for (double[] part : fine) {
            add(Gaussian.of(light, part[0], part[0], fill, workers), (float) part[1], sum, workers);
        }
        return Rows.of(sum);
    }

    /** Largest sample distance for a Gaussian of this sigma. */
    private static int apart(double sigma) {
        return Math.max(1, Integer.highestOneBit((int) (sigma / SIGMAS_APART)));
    }

    private static Rows coarse(Rows in, List<double[]> parts, EdgeFill fill, Workers workers) {
        int d = parts.stream().mapToInt(p -> apart(p[0])).min().orElseThrow();
        Plane small = new Halved(in, fill).toPlane(workers);
        if (small.isFlat(0)) {
            return Rows.of(Plane.of(in.width(), in.height()));
        }
        double variance = OF_SPLINE + OF_HALVING / d / d;
        for (int apart = 2; apart < d; apart *= 2) {
            small = new Halved(Rows.of(small), fill).toPlane(workers);
            variance += OF_HALVING * apart * apart / d / d;
        }
        Plane sum = Plane.of(small.width(), small.height());
        for (double[] part : parts) {
            double rest = Math.sqrt(part[0] * part[0] / d / d - variance);
            add(Gaussian.of(small, rest, rest, fill, workers), (float) part[1], sum, workers);
        }
        return new Drawn(sum, d, in.size(), fill);
    }

    private static void add(Rows rows, float by, Plane sum, Workers workers) {
        workers.eachRow(
                sum.height(),
                () -> {
                    Rows.Reader reader = rows.reader();
                    float[] row = new float[sum.width()];
                    return y -> {
                        reader.row(y, row, 0);
                        add(row, by, sum.data(), sum.row(y));
                    };
                });
    }

    private static void add(float[] row, float by, float[] sum, int o) {
        for (int x = 0; x < row.length; x++) {
            sum[o + x] += by * row[x];
        }
    }

    /**
     * Half the resolution in both directions. Each sample is the mean of four by the binomial weights 1, 3,
     * 3, 1, which suppress what is too fine. Samples at the right and bottom edges reach beyond the picture.
     */
    private record Halved(Rows in, EdgeFill fill) implements Rows {
        private static final float SHARE = 1f / 64;
        private static final int TAPS = 4;

        /** Samples needed beyond either edge, where the last one lies on the edge. */
        private static final int MARGIN = 2;

        @Override
        public Size size() {
            return new Size((in.width() + 1) / 2, (in.height() + 1) / 2);
        }

        @Override
        public Reader reader() {
            int n = width();
            CachedRows.Maker seen = CachedRows.of(in, fill, MARGIN);
            CachedRows rows =
                    new CachedRows(
                            TAPS,
                            in.width() + 2 * MARGIN,
                            (y, row) -> {
                                seen.row(y, row);
                                fill.extend(row, MARGIN, in.width());
                            });
            float[] sum = new float[in.width() + 2 * MARGIN];
            return (y, out, o) -> {
                int first = 2 * y - 1;
                together(
                        rows.row(first),
                        rows.row(first + 1),
                        rows.row(first + 2),
                        rows.row(first + 3),
                        sum);
                for (int x = 0; x < n; x++) {
                    int at = 2 * x + MARGIN - 1;
                    float outer = sum[at] + sum[at + 3];
                    out[o + x] = SHARE * (outer + 3 * (sum[at + 1] + sum[at + 2]));
                }
            };
        }

        private static void together(float[] a, float[] b, float[] c, float[] d, float[] out) {
            for (int i = 0; i < out.length; i++) {
                out[i] = a[i] + d[i] + 3 * (b[i] + c[i]);
            }
        }
    }

    /**
     * A cubic B-spline through samples that are {@code d} apart. Each row of samples is interpolated
     * horizontally once for all rows between.
     */
    private record Drawn(Plane small, int d, Size size, EdgeFill fill) implements Rows {
        private static final int TAPS = 4;
        private static final int MARGIN = 2;

        @Override
        public Reader reader() {
            int width = width();
            float[] weights = Gaussian.spline(d);
            float[] narrow = new float[RowArithmetic.room(small.width()) + 2 * MARGIN];
            float[] part = new float[RowArithmetic.room(small.width())];
            CachedRows wide =
                    new CachedRows(
                            TAPS,
                            width,
                            (k, row) -> {
                                fill.read(small, k, -MARGIN, narrow, small.width() + 2 * MARGIN);
                                across(narrow, weights, part, row);
                            });
            float[] made = new float[width];
            return (y, out, o) -> {
                int first = Gaussian.first(y, d);
                down(
                        wide.row(first),
                        wide.row(first + 1),
                        wide.row(first + 2),
                        wide.row(first + 3),
                        weights,
                        y % d * TAPS,
                        made);
                System.arraycopy(made, 0, out, o, width);
            };
        }

        /** Interpolates one row, all pixels of the same phase at a time. */
        private void across(float[] row, float[] weights, float[] part, float[] out) {
            for (int x = 0; x < Math.min(d, width()); x++) {
                int from = Gaussian.first(x, d) + MARGIN;
                int count = (width() - x + d - 1) / d;
                RowArithmetic.weighted(row, from, weights, x * TAPS, TAPS, part, count);
                for (int i = 0; i < count; i++) {
                    out[x + i * d] = part[i];
                }
            }
        }

        private static void down(
                float[] a, float[] b, float[] c, float[] d, float[] weights, int w, float[] out) {
            float ofA = weights[w];
            float ofB = weights[w + 1];
            float ofC = weights[w + 2];
            float ofD = weights[w + 3];
            for (int x = 0; x < out.length; x++) {
                out[x] = ofA * a[x] + ofB * b[x] + ofC * c[x] + ofD * d[x];
            }
        }
    }
}
