package ivrik.core.filter;

/**
 * Radial magnification r' = r (1 + k0 + k1 r^2 + k2 r^4) about a centre. The way back is found by
 * Newton's method for distances in small steps, and drawn through by the mean between two: the factor
 * is smooth, so that the error stays far below a thousandth of a pixel. Where the magnification turns
 * back on itself, what lies beyond is taken from the turn.
 */
public final class RadialWarp implements Warp {
    private static final int STEPS = 4096;

    private final double centreX;
    private final double centreY;
    private final double perUnit;
    private final double[] factor = new double[STEPS + 2];
    private final double toStep;

    /**
     * @param unit the length in pixels that r is 1 at
     * @param farthest the largest r that will be asked for
     */
    public RadialWarp(
            double centreX,
            double centreY,
            double unit,
            double farthest,
            double k0,
            double k1,
            double k2) {
        this.centreX = centreX;
        this.centreY = centreY;
        this.perUnit = 1 / (unit * unit);
        double most = farthest * farthest;
        this.toStep = STEPS / most;
        double r = 0;
        for (int i = 0; i < factor.length; i++) {
            double moved = Math.sqrt(i / toStep);
            r = i == 0 ? 0 : before(moved, r, k0, k1, k2);
            factor[i] = i == 0 ? 1 / Math.max(1e-3, 1 + k0) : r / moved;
        }
    }

    public static double magnified(double r, double k0, double k1, double k2) {
        double q = r * r;
        return r * (1 + k0 + q * (k1 + q * k2));
    }

    /** The r that is moved to {@code moved}, from {@code guess} on outward. */
    private static double before(double moved, double guess, double k0, double k1, double k2) {
        double r = Math.max(guess, 1e-9);
        for (int i = 0; i < 40; i++) {
            double q = r * r;
            double slope = 1 + k0 + q * (3 * k1 + q * 5 * k2);
            double by = (moved - magnified(r, k0, k1, k2)) / slope;
            if (slope < 1e-3 || by < 0 && r + by < guess) {
                return r;
            }
            r += by;
            if (Math.abs(by) < 1e-14 * r) {
                break;
            }
        }
        return r;
    }

    @Override
    public void back(double[] x, double[] y, int n) {
        for (int i = 0; i < n; i++) {
            double dx = x[i] - centreX;
            double dy = y[i] - centreY;
            double at = Math.min((dx * dx + dy * dy) * perUnit * toStep, STEPS);
            int k = (int) at;
            double f = factor[k] + (at - k) * (factor[k + 1] - factor[k]);
            x[i] = centreX + f * dx;
            y[i] = centreY + f * dy;
        }
    }
}
