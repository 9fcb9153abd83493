package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

/**
 * Anisotropic Gaussian blur at any angle. It is decomposed into a blur along rows or columns and a blur along
 * a slanted line (Geusebroek, Smeulders, van de Weijer 2003). Of the two decompositions the one with the
 * steeper line is used, so that interpolated samples have been blurred in that direction already. Thin
 * kernels are convolved directly.
 */
public final class RotatedGaussian {
    /** Kernel radius in sigmas. */
    private static final double END = 4;

    /** Smallest sigma for which interpolated samples are accurate. */
    private static final double THIN = 0.9;

    /** Largest part of the first blur that each shear may use. */
    private static final double SHARE = 1;

    /** Kernels up to this number of weights are convolved directly. */
    private static final double FEW_WEIGHTS = 300;

    /** Kernels above this number of weights are decomposed even if they are thin. */
    private static final double MAX_WEIGHTS = 4000;

    private RotatedGaussian() {}

    /**
     * @param along sigma along the angle, in px, above 0
     * @param across sigma across the angle, in px, above 0
     * @param degrees clockwise on screen, 0 to the right
     */
    public static Rows of(
            Plane in, double along, double across, double degrees, EdgeFill fill, Workers workers) {
        double c = StrictMath.cos(Math.toRadians(degrees));
        double s = StrictMath.sin(Math.toRadians(degrees));
        double weights = 4 * END * END * along * across;
        if (weights < (Math.min(along, across) < THIN ? MAX_WEIGHTS : FEW_WEIGHTS)) {
            return new Convolution(in, kernel(along, across, c, s), 0, fill);
        }
        // variances along x and y, and covariance
        double xx = along * along * c * c + across * across * s * s;
        double yy = along * along * s * s + across * across * c * c;
        double xy = (along * along - across * across) * c * s;
        double area = along * across;
        boolean rowsFirst = yy >= Math.abs(xy);
        double first = rowsFirst ? area / Math.sqrt(yy) : area / Math.sqrt(xx);
        // direction of the slanted line, from the regression of x on y or y on x
        double lineX = rowsFirst ? xy / Math.sqrt(yy) : Math.sqrt(xx);
        double lineY = rowsFirst ? Math.sqrt(yy) : xy / Math.sqrt(xx);
        // The first blur is done in three parts: before, during the shear that aligns the line with
        // an axis,
        // and during the shear back, so that no interpolation is needed.
        double share = Math.min(SHARE, first / Math.sqrt(2));
        double before = Math.sqrt(Math.max(0, first * first - 2 * share * share));
        int marginX = (int) Math.ceil(END * (Math.abs(lineX) + first)) + 3;
        int marginY = (int) Math.ceil(END * (Math.abs(lineY) + first)) + 3;
        Plane wide = continued(in, marginX, marginY, fill, workers);
        Plane once =
                Gaussian.of(
                                wide,
                                rowsFirst ? before : 0,
                                rowsFirst ? 0 : before,
                                EdgeFill.REPEAT,
                                workers)
                        .toPlane(workers);
        double slope = rowsFirst ? -lineX / lineY : -lineY / lineX;
        GaussianShear there = GaussianShear.of(once.size(), slope, !rowsFirst, share);
        Plane leaning = there.apply(once, workers);
        double upright = rowsFirst ? Math.abs(lineY) : Math.abs(lineX);
        Plane blurred =
                Gaussian.of(
                                leaning,
                                rowsFirst ? 0 : upright,
                                rowsFirst ? upright : 0,
                                EdgeFill.REPEAT,
                                workers)
                        .toPlane(workers);
        Plane back = there.back(once.size()).apply(blurred, workers);
        return Rows.of(back.crop(new Region(marginX, marginY, in.width(), in.height())));
    }

    /** The sampled, normalised kernel. */
    private static float[] kernel(double along, double across, double c, double s) {
        int radius =
                (int)
                        Math.ceil(
                                END
                                        * Math.max(
                                                StrictMath.hypot(along * c, across * s),
                                                StrictMath.hypot(along * s, across * c)));
        int side = 2 * radius + 1;
        double[] exact = new double[side * side];
        double sum = 0;
        for (int y = -radius; y <= radius; y++) {
            for (int x = -radius; x <= radius; x++) {
                double u = (x * c + y * s) / along;
                double v = (y * c - x * s) / across;
                double d = u * u + v * v;
                double w = d > END * END ? 0 : StrictMath.exp(-0.5 * d);
                exact[(y + radius) * side + x + radius] = w;
                sum += w;
            }
        }
        float[] weights = new float[exact.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = (float) (exact[i] / sum);
        }
        return weights;
    }

    /** The plane with a margin from the edge fill. */
    private static Plane continued(Plane in, int x, int y, EdgeFill fill, Workers workers) {
        Plane wide = Plane.of(in.width() + 2 * x, in.height() + 2 * y);
        workers.rows(
                wide.height(),
                (from, to) -> {
                    float[] row = new float[wide.width()];
                    for (int j = from; j < to; j++) {
                        fill.read(in, j - y, -x, row, row.length);
                        System.arraycopy(row, 0, wide.data(), wide.row(j), row.length);
                    }
                });
        return wide;
    }
}
