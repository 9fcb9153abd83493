package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Region;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

/**
 * Gaussian blur of two strengths along and across any angle. It is taken apart into one along rows or
 * columns and one along a slanting line (Geusebroek, Smeulders, van de Weijer 2003): of the two ways to do
 * that the one whose line stands steeper on the first, so that what is sampled between pixels has been
 * blurred in that direction already. Thin ones are convolved as they are.
 */
public final class TurnedGaussian {
    /** Where kernels end, in sigmas. */
    private static final double END = 4;

    /** A thinner one than this is not what samples between pixels can be made of. */
    private static final double THIN = 0.9;

    /** What of the first one is left for each shearing, at the most. */
    private static final double SHARE = 1;

    /** So few weights are convolved as they are. */
    private static final double FEW_WEIGHTS = 300;

    /** With more weights than this even a thin one is taken apart. */
    private static final double MOST_WEIGHTS = 4000;

    private TurnedGaussian() {}

    /**
     * A plane blurred.
     *
     * @param along sigma along the angle, in pixels, over 0
     * @param across sigma across it, over 0
     * @param degrees clockwise from the right as the eye sees it
     */
    public static Rows of(
            Plane in, double along, double across, double degrees, EdgeFill fill, Workers workers) {
        double c = StrictMath.cos(Math.toRadians(degrees));
        double s = StrictMath.sin(Math.toRadians(degrees));
        double weights = 4 * END * END * along * across;
        if (weights < (Math.min(along, across) < THIN ? MOST_WEIGHTS : FEW_WEIGHTS)) {
            return new Convolution(in, kernel(along, across, c, s), 0, fill);
        }
        // Variances along x and y, and what they have in common.
        double xx = along * along * c * c + across * across * s * s;
        double yy = along * along * s * s + across * across * c * c;
        double xy = (along * along - across * across) * c * s;
        double area = along * across;
        boolean rowsFirst = yy >= Math.abs(xy);
        double first = rowsFirst ? area / Math.sqrt(yy) : area / Math.sqrt(xx);
        // The slanting line, from the way in which x goes along with y, or y with x.
        double lineX = rowsFirst ? xy / Math.sqrt(yy) : Math.sqrt(xx);
        double lineY = rowsFirst ? Math.sqrt(yy) : xy / Math.sqrt(xx);
        // The first one is done in three parts: before, while the picture is sheared so that the
        // line
        // lies along an axis, and while it is sheared back: so nothing has to be interpolated.
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
        int reach =
                (int)
                        Math.ceil(
                                END
                                        * Math.max(
                                                StrictMath.hypot(along * c, across * s),
                                                StrictMath.hypot(along * s, across * c)));
        int side = 2 * reach + 1;
        double[] exact = new double[side * side];
        double sum = 0;
        for (int y = -reach; y <= reach; y++) {
            for (int x = -reach; x <= reach; x++) {
                double u = (x * c + y * s) / along;
                double v = (y * c - x * s) / across;
                double d = u * u + v * v;
                double w = d > END * END ? 0 : StrictMath.exp(-0.5 * d);
                exact[(y + reach) * side + x + reach] = w;
                sum += w;
            }
        }
        float[] weights = new float[exact.length];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = (float) (exact[i] / sum);
        }
        return weights;
    }

    /** The plane with a margin that its edge fill says. */
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
