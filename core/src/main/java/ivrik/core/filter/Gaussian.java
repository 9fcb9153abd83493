package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

import java.util.Arrays;

/**
 * Gaussian blur with a cost per pixel that is independent of sigma. Small sigmas are convolved directly. For
 * large sigmas the picture is prefiltered and decimated by {@code D}, blurred, and interpolated by a cubic
 * B-spline. The variances of the three kernels, (0.7 D)^2, the rest, and D^2/3, add up to sigma^2. With D at
 * most sigma/2 the error is below 1e-3 of full range against convolution with the sampled, normalised
 * Gaussian.
 */
public final class Gaussian {
    /** Kernel radius in sigmas; 1e-3 of the weight lies beyond. */
    private static final double END = 3.3;

    private static final double DECIMATED_FROM_SIGMA = 6;
    private static final double DECIMATED_ALONG_FROM_SIGMA = 12;
    private static final double DOWN = 0.7;

    private Gaussian() {}

    /**
     * @param sigmaX horizontal sigma in pixels of the plane; 0 for no blur
     * @param sigmaY vertical sigma in pixels of the plane; 0 for no blur
     */
    public static Rows of(Plane in, double sigmaX, double sigmaY, EdgeFill fill, Workers workers) {
        if (sigmaX < DECIMATED_FROM_SIGMA && sigmaY < DECIMATED_FROM_SIGMA) {
            return new SymmetricConvolution(in, half(sigmaX), half(sigmaY), fill);
        }
        if (sigmaY < DECIMATED_FROM_SIGMA) {
            Plane across = across(in, sigmaX, fill).toPlane(workers);
            return new SymmetricConvolution(across, half(0), half(sigmaY), fill);
        }
        return large(Rows.of(in), sigmaX, sigmaY, fill, workers);
    }

    /**
     * Blurs rows. Large blurs decimate the rows as they are computed and need no full plane.
     *
     * @param sigmaX horizontal sigma in px
     * @param sigmaY vertical sigma in px
     */
    public static Rows of(Rows in, double sigmaX, double sigmaY, EdgeFill fill, Workers workers) {
        return sigmaY < DECIMATED_FROM_SIGMA
                ? of(in.toPlane(workers), sigmaX, sigmaY, fill, workers)
                : large(in, sigmaX, sigmaY, fill, workers);
    }

    private static Rows large(
            Rows in, double sigmaX, double sigmaY, EdgeFill fill, Workers workers) {
        Coarse c = Coarse.of(sigmaY);
        Plane few = few(in, c, fill, workers);
        boolean kernel = sigmaX < DECIMATED_ALONG_FROM_SIGMA;
        Plane across = kernel ? few : across(few, sigmaX, fill).toPlane(workers);
        float[] rest = half(kernel ? sigmaX : 0);
        Plane blurred =
                new SymmetricConvolution(across, rest, c.middle(), fill, EdgeFill.REPEAT)
                        .toPlane(workers);
        return new Drawn(blurred, c, in.size());
    }

    /**
     * Horizontal blur with ringing: the blurred row plus {@code by} times its difference from the mean of its
     * two neighbours at a distance. A single kernel, whose length grows with sigma and the distance.
     *
     * @param distance in pixels of the plane, above 0
     */
    public static Rows rung(Plane in, double sigma, double by, double distance, EdgeFill fill) {
        int radius = (int) Math.ceil(END * sigma + distance);
        double[] weights = new double[radius + 1];
        double sum = 0;
        for (int k = -radius; k <= radius; k++) {
            double w =
                    (1 + by) * bell(k, sigma)
                            - by / 2 * (bell(k - distance, sigma) + bell(k + distance, sigma));
            weights[Math.abs(k)] = w;
            sum += w;
        }
        float[] half = new float[radius + 1];
        for (int k = 0; k <= radius; k++) {
            half[k] = (float) (weights[k] / sum);
        }
        return new SymmetricConvolution(in, half, half(0), fill);
    }

    private static double bell(double at, double sigma) {
        return StrictMath.exp(-0.5 * at * at / (sigma * sigma));
    }

    /**
     * One half of a sampled Gaussian that sums to 1 over both halves, from the centre outwards; the single
     * weight 1 for sigma 0.
     */
    static float[] half(double sigma) {
        int radius = (int) Math.ceil(END * sigma);
        double[] w = new double[radius + 1];
        double sum = 0;
        for (int k = 0; k <= radius; k++) {
            w[k] = k == 0 ? 1 : StrictMath.exp(-0.5 * k * k / (sigma * sigma));
            sum += k == 0 ? w[k] : 2 * w[k];
        }
        float[] half = new float[radius + 1];
        for (int k = 0; k <= radius; k++) {
            half[k] = (float) (w[k] / sum);
        }
        return half;
    }

    /**
     * Cubic B-spline weights of four coarse samples for each of {@code d} positions; the second coarse sample
     * is at or before the position.
     */
    static float[] spline(int d) {
        float[] weights = new float[4 * d];
        for (int i = 0; i < d; i++) {
            double t = (i + 0.5) / d - 0.5;
            double f = t < 0 ? t + 1 : t;
            weights[4 * i] = (float) ((1 - f) * (1 - f) * (1 - f) / 6);
            weights[4 * i + 1] = (float) ((3 * f * f * f - 6 * f * f + 4) / 6);
            weights[4 * i + 2] = (float) ((-3 * f * f * f + 3 * f * f + 3 * f + 1) / 6);
            weights[4 * i + 3] = (float) (f * f * f / 6);
        }
        return weights;
    }

    /**
     * The first of the four coarse samples, spaced by {@code d}, that contribute to sample {@code i}.
     */
    static int first(int i, int d) {
        return i / d - (2 * (i % d) + 1 < d ? 2 : 1);
    }

    /** Decomposition of one direction of a large blur. */
    private record Coarse(int step, float[] down, float[] middle, float[] up, int margin) {
        static Coarse of(double sigma) {
            int d = (int) (sigma / 2);
            double s1 = DOWN * d;
            double rest = Math.sqrt((sigma * sigma - s1 * s1) / (d * d) - 1.0 / 3);
            float[] middle = half(rest);
            return new Coarse(d, decimating(d, s1), middle, spline(d), middle.length + 1);
        }

        /** Decimation kernel, centred on {@code d} samples. */
        private static float[] decimating(int d, double sigma) {
            int radius = (int) Math.ceil(END * sigma);
            int n = d + 2 * radius;
            double middle = (n - 1) / 2.0;
            double[] w = new double[n];
            double sum = 0;
            for (int k = 0; k < n; k++) {
                double t = (k - middle) / sigma;
                w[k] = Math.abs(t) > END + 0.5 ? 0 : StrictMath.exp(-0.5 * t * t);
                sum += w[k];
            }
            float[] weights = new float[n];
            for (int k = 0; k < n; k++) {
                weights[k] = (float) (w[k] / sum);
            }
            return weights;
        }

        /** One half of the symmetric decimation kernel, from the centre outwards. */
        float[] downHalf() {
            return Arrays.copyOfRange(down, down.length / 2, down.length);
        }

        int first(int i) {
            return Gaussian.first(i, step);
        }

        int count(int n) {
            return (n + step - 1) / step;
        }

        /** First input sample of coarse sample {@code j}. */
        int begin(int j) {
            return j * step - (down.length - step) / 2;
        }
    }

    private static Rows across(Plane in, double sigma, EdgeFill fill) {
        return sigma < DECIMATED_ALONG_FROM_SIGMA
                ? new SymmetricConvolution(in, half(sigma), half(0), fill)
                : new Across(in, Coarse.of(sigma), fill);
    }

    /** Horizontal pass: decimate, blur, interpolate. */
    private record Across(Plane in, Coarse c, EdgeFill fill) implements FilteredRows {
        @Override
        public Reader reader() {
            int width = in.width();
            int count = c.count(width) + 2 * c.margin();
            int before = -c.begin(-c.margin());
            int end = c.begin(count - 1 - c.margin()) + c.down().length;
            float[] row = new float[before + Math.max(width, end)];
            float[] small = new float[count];
            float[] blurred = new float[count];
            return (y, out, o) -> {
                fill.read(in, y, -before, row, row.length);
                float[] w = c.down();
                for (int j = 0; j < count; j++) {
                    int at = j * c.step();
                    float sum = 0;
                    for (int k = 0; k < w.length; k++) {
                        sum += w[k] * row[at + k];
                    }
                    small[j] = sum;
                }
                float[] half = c.middle();
                int r = half.length - 1;
                for (int j = r; j < count - r; j++) {
                    float sum = half[0] * small[j];
                    for (int k = 1; k <= r; k++) {
                        sum += half[k] * (small[j - k] + small[j + k]);
                    }
                    blurred[j] = sum;
                }
                float[] up = c.up();
                for (int x = 0; x < width; x++) {
                    int j = c.first(x) + c.margin();
                    int u = x % c.step() * 4;
                    out[o + x] =
                            up[u] * blurred[j]
                                    + up[u + 1] * blurred[j + 1]
                                    + up[u + 2] * blurred[j + 2]
                                    + up[u + 3] * blurred[j + 3];
                }
            };
        }
    }

    /** Decimates the rows vertically, with a margin above and below. */
    private static Plane few(Rows in, Coarse c, EdgeFill fill, Workers workers) {
        Plane out = Plane.of(in.width(), c.count(in.height()) + 2 * c.margin());
        workers.eachRow(
                out.height(),
                () -> {
                    Rows.Reader rows = decimated(in, c, fill);
                    return j -> rows.row(j - c.margin(), out.data(), out.row(j));
                });
        return out;
    }

    /** Reads decimated rows, including those above the first and below the last. */
    private static Rows.Reader decimated(Rows in, Coarse c, EdgeFill fill) {
        SymmetricPairs rows =
                in.plane()
                        .<SymmetricPairs>map(plane -> new PlaneRows(plane, fill))
                        .orElseGet(() -> new RowWindow(in, fill, c.down().length));
        int width = in.width();
        float[] nothing = new float[width];
        float[] half = c.downHalf();
        return (j, out, o) -> {
            int middle = c.begin(j) + (c.down().length - 1) / 2;
            if (c.down().length % 2 == 0) {
                rows.pairs(nothing, 0, 0, half, 0, middle, middle + 1, out, o, width);
            } else {
                rows.about(middle, half, out, o, width);
            }
        };
    }

    /** Rows interpolated between decimated rows. */
    private record Drawn(Plane coarse, Coarse c, Size size) implements Rows {
        @Override
        public Reader reader() {
            PlaneRows rows = new PlaneRows(coarse, EdgeFill.REPEAT);
            return (y, out, o) -> {
                int first = c.first(y) + c.margin();
                rows.four(first, c.up(), y % c.step() * 4, out, o);
            };
        }
    }
}
