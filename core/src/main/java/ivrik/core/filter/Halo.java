package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.Arrays;
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

    /** A Gaussian is made of means of so many samples along a side as its sigma is times this. */
    private static final double SIGMAS_A_MEAN = 1.4;

    /** Variances of a mean over d samples and of a cubic B-spline through every d-th, in squares of d. */
    private static final double OF_MEAN = 1.0 / 12;

    private static final double OF_SPLINE = 1.0 / 3;

    private Halo() {}

    /**
     * A plane spread. For large sigmas means of squares are taken, those are blurred, and the picture is drawn
     * through them again by a cubic B-spline, so that the variances add up.
     *
     * @param sigma of the Gaussian, in pixels of the plane
     * @param tail 0 for the Gaussian, 1 for the exponential, between them their mixture
     */
    public static Rows of(Plane in, double sigma, double tail, EdgeFill fill, Workers workers) {
        if (tail == 0) {
            return Gaussian.of(in, sigma, sigma, fill, workers);
        }
        List<double[]> parts = new ArrayList<>();
        if (tail < 1) {
            parts.add(new double[] {sigma, 1 - tail});
        }
        double length = sigma * Math.sqrt(2 / MEAN_SQUARE);
        for (int i = 0; i < MEANS.length; i++) {
            parts.add(new double[] {length * Math.sqrt(2 * MEANS[i]), tail * SHARES[i]});
        }
        List<double[]> fine = parts.stream().filter(p -> apart(p[0]) == 1).toList();
        List<double[]> coarse = parts.stream().filter(p -> apart(p[0]) > 1).toList();
        if (fine.isEmpty()) {
            return coarse(in, coarse, fill, workers);
        }
        Plane sum =
                coarse.isEmpty()
                        ? Plane.of(in.width(), in.height())
                        : coarse(in, coarse, fill, workers).toPlane(workers);
        for (double[] part : fine) {
            add(Gaussian.of(in, part[0], part[0], fill, workers), (float) part[1], sum, workers);
        }
        return Rows.of(sum);
    }

    /** How far apart samples may lie that a Gaussian of so much is made of. */
    private static int apart(double sigma) {
        return (int) Math.max(1, Math.floor(sigma / SIGMAS_A_MEAN));
    }

    private static Rows coarse(Plane in, List<double[]> parts, EdgeFill fill, Workers workers) {
        int d = parts.stream().mapToInt(p -> apart(p[0])).min().orElseThrow();
        Plane small = new Means(in, d, fill).toPlane(workers);
        Plane sum = Plane.of(small.width(), small.height());
        for (double[] part : parts) {
            double rest = Math.sqrt(part[0] * part[0] / d / d - OF_MEAN - OF_SPLINE);
            add(Gaussian.of(small, rest, rest, fill, workers), (float) part[1], sum, workers);
        }
        return new Drawn(sum, d, in.width(), in.height(), fill);
    }

    private static void add(Rows rows, float by, Plane sum, Workers workers) {
        workers.rows(
                sum.height(),
                (from, to) -> {
                    Rows.Reader reader = rows.reader();
                    float[] row = new float[sum.width()];
                    for (int y = from; y < to; y++) {
                        Cancel.poll();
                        reader.row(y, row, 0);
                        add(row, by, sum.data(), sum.row(y));
                    }
                });
    }

    private static void add(float[] row, float by, float[] sum, int o) {
        for (int x = 0; x < row.length; x++) {
            sum[o + x] += by * row[x];
        }
    }

    /** The means of squares of {@code d} samples; those at the far edges reach beyond it. */
    private record Means(Plane in, int d, EdgeFill fill) implements Rows {
        @Override
        public int width() {
            return (in.width() + d - 1) / d;
        }

        @Override
        public int height() {
            return (in.height() + d - 1) / d;
        }

        @Override
        public Reader reader() {
            int n = width();
            float[] row = new float[n * d];
            float[] sum = new float[n * d];
            float share = 1f / (d * d);
            return (y, out, o) -> {
                Arrays.fill(sum, 0);
                for (int k = 0; k < d; k++) {
                    fill.read(in, (long) y * d + k, 0, row, row.length);
                    Halo.add(row, share, sum, 0);
                }
                for (int x = 0; x < n; x++) {
                    float all = 0;
                    for (int k = 0; k < d; k++) {
                        all += sum[x * d + k];
                    }
                    out[o + x] = all;
                }
            };
        }
    }

    /** A cubic B-spline through samples that lie {@code d} apart. */
    private record Drawn(Plane small, int d, int width, int height, EdgeFill fill) implements Rows {
        @Override
        public Reader reader() {
            int n = small.width();
            int side = 2;
            float[] weights = Gaussian.spline(d);
            float[] row = new float[n + 2 * side];
            float[] drawn = new float[n];
            return (y, out, o) -> {
                Arrays.fill(row, 0);
                int w = y % d * 4;
                int above = Gaussian.first(y, d);
                for (int k = 0; k < 4; k++) {
                    int inside = fill.inside(above + k, small.height());
                    if (inside >= 0) {
                        add(small, inside, weights[w + k], row, side);
                    }
                }
                fill.extend(row, side, n);
                for (int x = 0; x < Math.min(d, width); x++) {
                    int count = (width - x + d - 1) / d;
                    between(row, Gaussian.first(x, d) + side, weights, x * 4, drawn, count);
                    spread(drawn, count, out, o + x, d);
                }
            };
        }

        /** Every {@code d}-th value, which all lie alike between samples. */
        private static void between(
                float[] row, int at, float[] weights, int w, float[] out, int n) {
            float a = weights[w];
            float b = weights[w + 1];
            float c = weights[w + 2];
            float d = weights[w + 3];
            for (int i = 0; i < n; i++) {
                out[i] =
                        a * row[at + i]
                                + b * row[at + i + 1]
                                + c * row[at + i + 2]
                                + d * row[at + i + 3];
            }
        }

        private static void spread(float[] values, int n, float[] out, int o, int apart) {
            for (int i = 0; i < n; i++) {
                out[o + i * apart] = values[i];
            }
        }

        private static void add(Plane plane, int y, float by, float[] sum, int o) {
            int from = plane.row(y);
            for (int x = 0; x < plane.width(); x++) {
                sum[o + x] += by * plane.data()[from + x];
            }
        }
    }
}
