package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;

/**
 * Light spread about where it falls, from a Gaussian to the longer tail of a round exponential exp(-r / l)
 * of the same mean square radius. The exponential is a sum of Gaussians: their variances 2 u l^2 are spread
 * by a gamma distribution of shape 3/2, of which four shares are taken, each at its mean. What then lies
 * within any radius is within 0.013 of the exponential's.
 */
public final class Halo {
    /** Means of the gamma distribution within 0 to 0.25, to 0.8, to 2 and beyond. */
    private static final double[] MEANS = {0.1463, 0.5255, 1.3257, 3.1522};

    /** How much of it lies there. */
    private static final double[] SHARES = {0.0811, 0.2603, 0.3972, 0.2614};

    /** The mean square of the radius of a round exponential, in squares of its length. */
    private static final double MEAN_SQUARE = 6;

    /** A Gaussian is made of samples that lie no further apart than its sigma divided by this. */
    private static final double SIGMAS_APART = 1.4;

    /** The variance that halving adds, in squares of the samples that are halved. */
    private static final double OF_HALVING = 0.75;

    /** That of a cubic B-spline, in squares of the samples that it goes through. */
    private static final double OF_SPLINE = 1.0 / 3;

    private Halo() {}

    /**
     * Light spread. For large sigmas it is halved a few times, blurred, and drawn again by a cubic B-spline,
     * such that the variances add up: then its rows are made twice at most, and there is no plane of them.
     *
     * @param sigma of the Gaussian, in pixels of the rows
     * @param tail 0 for the Gaussian, 1 for the exponential, between them their mixture
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

    /** How far apart samples may lie that a Gaussian of so much is made of. */
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
     * Half as many samples each way, each of four by the binomial weights 1, 3, 3, 1: what is too fine for them
     * is all but gone. Those at the far edges reach beyond it.
     */
    private record Halved(Rows in, EdgeFill fill) implements Rows {
        private static final float SHARE = 1f / 64;
        private static final int TAPS = 4;

        /** Samples that are seen beyond either edge, where the last lies on it by itself. */
        private static final int MARGIN = 2;

        @Override
        public Size size() {
            return new Size((in.width() + 1) / 2, (in.height() + 1) / 2);
        }

        @Override
        public Reader reader() {
            int n = width();
            KeptRows.Maker seen = KeptRows.of(in, fill, MARGIN);
            KeptRows rows =
                    new KeptRows(
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
     * A cubic B-spline through samples that lie {@code d} apart. Each of their rows is drawn across once for
     * all the rows between.
     */
    private record Drawn(Plane small, int d, Size size, EdgeFill fill) implements Rows {
        private static final int TAPS = 4;
        private static final int MARGIN = 2;

        @Override
        public Reader reader() {
            int width = width();
            float[] weights = Gaussian.spline(d);
            float[] narrow = new float[Lines.room(small.width()) + 2 * MARGIN];
            float[] part = new float[Lines.room(small.width())];
            KeptRows wide =
                    new KeptRows(
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

        /** One row, each {@code d}-th value at a time: they all lie alike between samples. */
        private void across(float[] row, float[] weights, float[] part, float[] out) {
            for (int x = 0; x < Math.min(d, width()); x++) {
                int from = Gaussian.first(x, d) + MARGIN;
                int count = (width() - x + d - 1) / d;
                Lines.weighted(row, from, weights, x * TAPS, TAPS, part, count);
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
