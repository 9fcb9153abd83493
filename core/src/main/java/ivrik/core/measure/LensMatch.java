package ivrik.core.measure;

import ivrik.core.filter.Gaussian;
import ivrik.core.filter.RadialWarp;
import ivrik.core.filter.WarpedPlane;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Measures lateral chromatic aberration: the radial magnification of one channel relative to another, r' = r
 * (1 + k0 + k1 r^2 + k2 r^4), with r in half diagonals from the centre. In each block the channel is modelled
 * as the reference channel shifted outwards, with a gain and an offset; the three unknowns and their standard
 * deviation follow by least squares. A curve is fitted through all blocks with Huber weights, the reference
 * channel is warped by it, and the steps repeat until the curve does not change.
 */
public final class LensMatch {
    private static final int BLOCK = 24;
    private static final int APART = 16;
    private static final int ROUNDS = 6;
    private static final int FEWEST_BLOCKS = 12;

    /** A slight blur reduces noise and makes slopes more accurate. */
    private static final double BLUR_SIGMA = 1.2;

    /** Smallest share of a block's variance that the model has to explain. */
    private static final double MIN_EXPLAINED = 0.6;

    /** Smallest standard deviation of a block, in pixels. */
    private static final double SUREST_PX = 0.03;

    private static final double HUBER = 1.5;

    /** Largest accepted standard deviation at the corner, in pixels. */
    private static final double MIN_SURE_PX = 1.5;

    private static final int CURVE_STEPS = 20;

    /** Smallest width of a reduced copy; a smaller one has too few blocks. */
    private static final int SMALLEST_WIDTH = 320;

    private LensMatch() {}

    /**
     * One block, or one point of a curve.
     *
     * @param r distance from the centre in half diagonals
     * @param outPx outward shift of the channel relative to the reference, in pixels
     * @param surePx standard deviation of the shift
     */
    public record Point(double r, double outPx, double surePx) {}

    /**
     * A curve through the blocks.
     *
     * @param cornerPx outward shift at the corner, in pixels
     * @param surePx standard deviation of {@code cornerPx}
     * @param points the blocks
     * @param curve points of the curve from the centre to the corner, evenly spaced
     */
    public record Fit(
            double k0,
            double k1,
            double k2,
            double cornerPx,
            double surePx,
            List<Point> points,
            List<Point> curve) {
        public Fit {
            points = List.copyOf(points);
            curve = List.copyOf(curve);
        }

        /** Outward shift at a radius, both in half diagonals. */
        double out(double r) {
            return r * (k0 + r * r * (k1 + r * r * k2));
        }
    }

    /** Aberration of red and blue relative to green. */
    public record Channels(Fit red, Fit blue) {}

    /**
     * Aberration of red and blue relative to green; empty if the picture has too little detail.
     *
     * @param colour red, green and blue, of the same size
     */
    public static Optional<Channels> of(List<Plane> colour, Workers workers) {
        Plane green = colour.get(1);
        return between(green, colour.get(0), workers)
                .flatMap(
                        red ->
                                between(green, colour.get(2), workers)
                                        .map(blue -> new Channels(red, blue)));
    }

    /**
     * Aberration of a channel relative to a reference of the same size; empty if the picture has too little
     * detail. Large shifts are found in reduced copies first.
     */
    public static Optional<Fit> between(Plane held, Plane other, Workers workers) {
        Fit begin = new Fit(0, 0, 0, 0, 0, List.of(), List.of());
        if (held.width() / 2 >= SMALLEST_WIDTH) {
            Size small = new Size(held.width() / 2, Math.max(1, held.height() / 2));
            begin =
                    between(
                                    Resample.to(held, small, workers),
                                    Resample.to(other, small, workers),
                                    workers)
                            .orElse(begin);
        }
        return refined(begin, held, other, workers);
    }

    private static Optional<Fit> refined(Fit begin, Plane held, Plane other, Workers workers) {
        Plane from = soft(held, workers);
        Plane to = soft(other, workers);
        double half = StrictMath.hypot(held.width(), held.height()) / 2;
        Fit fit = begin;
        for (int round = 0; round < ROUNDS; round++) {
            List<Point> points = points(moved(from, fit, half, workers), to, fit, half);
            Optional<Fit> next = fitted(points, half);
            if (next.isEmpty()) {
                return next;
            }
            fit = next.get();
        }
        return fit.surePx() > MIN_SURE_PX ? Optional.empty() : Optional.of(fit);
    }

    private static Plane soft(Plane plane, Workers workers) {
        return Gaussian.of(plane, BLUR_SIGMA, BLUR_SIGMA, EdgeFill.REPEAT, workers)
                .toPlane(workers);
    }

    private static Plane moved(Plane plane, Fit fit, double half, Workers workers) {
        RadialWarp warp =
                new RadialWarp(
                        plane.width() / 2.0,
                        plane.height() / 2.0,
                        half,
                        1,
                        fit.k0(),
                        fit.k1(),
                        fit.k2());
        return WarpedPlane.of(plane, List.of(warp), EdgeFill.REPEAT, Sampler.CUBIC)
                .toPlane(workers);
    }

    private static List<Point> points(Plane from, Plane to, Fit fit, double half) {
        List<Point> points = new ArrayList<>();
        for (int y = 4; y + BLOCK < from.height() - 4; y += APART) {
            for (int x = 4; x + BLOCK < from.width() - 4; x += APART) {
                Block block = new Block(from, to, x, y);
                block.out()
                        .ifPresent(
                                p ->
                                        points.add(
                                                new Point(
                                                        block.r(half),
                                                        p[0] + half * fit.out(block.r(half)),
                                                        p[1])));
            }
        }
        return points;
    }

    /** Sums over one block: the reference channel g, its outward slope s and the other channel. */
    private static final class Block {
        private static final int N = BLOCK * BLOCK;
        private final double[][] sums = new double[3][3];
        private final double[] with = new double[3];
        private final double fromMiddle;
        private double squares;
        private double sum;

        Block(Plane from, Plane to, int left, int top) {
            double middleX = from.width() / 2.0;
            double middleY = from.height() / 2.0;
            double cx = left + BLOCK / 2.0 - middleX;
            double cy = top + BLOCK / 2.0 - middleY;
            fromMiddle = StrictMath.hypot(cx, cy);
            double[] v = new double[3];
            for (int y = top; y < top + BLOCK; y++) {
                for (int x = left; x < left + BLOCK; x++) {
                    double dx = x + 0.5 - middleX;
                    double dy = y + 0.5 - middleY;
                    double r = Math.max(1e-6, StrictMath.hypot(dx, dy));
                    double across = (from.at(x + 1, y) - from.at(x - 1, y)) / 2.0;
                    double down = (from.at(x, y + 1) - from.at(x, y - 1)) / 2.0;
                    v[0] = from.at(x, y);
                    v[1] = 1;
                    v[2] = (across * dx + down * dy) / r;
                    double t = to.at(x, y);
                    for (int i = 0; i < 3; i++) {
                        with[i] += v[i] * t;
                        for (int j = 0; j < 3; j++) {
                            sums[i][j] += v[i] * v[j];
                        }
                    }
                    squares += t * t;
                    sum += t;
                }
            }
        }

        double r(double half) {
            return fromMiddle / half;
        }

        /** Outward shift of the other channel and its standard deviation; empty if undetermined. */
        Optional<double[]> out() {
            double[][] inverse = LeastSquares.inverse(sums);
            if (inverse.length == 0 || fromMiddle < BLOCK) {
                return Optional.empty();
            }
            double[] solved = LeastSquares.times(inverse, with);
            double left = squares;
            for (int i = 0; i < 3; i++) {
                left -= solved[i] * with[i];
            }
            double spread = squares - sum * sum / N;
            double gain = solved[0];
            boolean explained = spread > N * 1e-6 && 1 - left / spread > MIN_EXPLAINED;
            if (!explained || gain < 0.1) {
                return Optional.empty();
            }
            double sure = Math.sqrt(Math.max(0, left) / (N - 3) * inverse[2][2]) / gain;
            return sure > 1
                    ? Optional.empty()
                    : Optional.of(
                            new double[] {-solved[2] / gain, StrictMath.hypot(sure, SUREST_PX)});
        }
    }

    /**
     * The curve through the points, weighted by their deviation and their distance from the previous curve.
     */
    private static Optional<Fit> fitted(List<Point> points, double half) {
        if (points.size() < FEWEST_BLOCKS) {
            return Optional.empty();
        }
        double[] k = new double[3];
        double[][] inverse = {};
        double chi = 0;
        for (int round = 0; round < ROUNDS; round++) {
            double[][] sums = new double[3][3];
            double[] with = new double[3];
            chi = 0;
            for (Point p : points) {
                double[] v = terms(p.r());
                double off = (p.outPx() / half - dot(k, v)) * half / p.surePx();
                double far = round == 0 ? 1 : Math.min(1, HUBER / Math.max(1e-9, Math.abs(off)));
                double weight = far * half * half / (p.surePx() * p.surePx());
                chi += far * off * off;
                for (int i = 0; i < 3; i++) {
                    with[i] += weight * v[i] * p.outPx() / half;
                    for (int j = 0; j < 3; j++) {
                        sums[i][j] += weight * v[i] * v[j];
                    }
                }
            }
            inverse = LeastSquares.inverse(sums);
            if (inverse.length == 0) {
                return Optional.empty();
            }
            k = LeastSquares.times(inverse, with);
        }
        double scatter = Math.max(1, chi / Math.max(1, points.size() - 3));
        List<Point> curve = new ArrayList<>();
        for (int i = 0; i <= CURVE_STEPS; i++) {
            double r = (double) i / CURVE_STEPS;
            double[] v = terms(r);
            double variance = scatter * dot(v, LeastSquares.times(inverse, v));
            curve.add(new Point(r, half * dot(k, v), half * Math.sqrt(Math.max(0, variance))));
        }
        Point corner = curve.getLast();
        return Optional.of(
                new Fit(k[0], k[1], k[2], corner.outPx(), corner.surePx(), points, curve));
    }

    private static double[] terms(double r) {
        return new double[] {r, r * r * r, r * r * r * r * r};
    }

    private static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }
}
