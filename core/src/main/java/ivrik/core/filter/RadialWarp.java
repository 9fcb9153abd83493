package ivrik.core.filter;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

/**
 * Radial magnification r' = r (1 + k0 + k1 r^2 + k2 r^4) about a centre, as an inverse mapping. The inverse
 * is tabulated by Newton's method. A polynomial replaces the table where it is accurate enough; else the
 * table is interpolated linearly. Either way the error is far below a thousandth of a pixel. Where the
 * magnification folds back, positions beyond the fold use the value at the fold.
 */
public final class RadialWarp implements Warp {
    private static final int STEPS = 4096;

    /** Relative outward speed below which the mapping counts as folding back. */
    private static final double FLAT = 1e-3;

    /** Tolerance of the factor: a ten-thousandth of a pixel at a thousand pixels. */
    private static final double CLOSE = 1e-7;

    /** Everything the inverse depends on, except the centre. */
    private record Magnification(double farthest, double k0, double k1, double k2) {}

    /**
     * @param polynomial null if no polynomial is accurate enough
     * @param less the polynomial minus 1 in floats; null if that is not accurate enough
     */
    private record Back(double[] factor, double[] polynomial, float[] less) {}

    /** Cached inverses: a lens that does not change is the same in every frame. */
    private static final Cache<Magnification, Back> KNOWN =
            Caffeine.newBuilder().maximumSize(32).build();

    private final double centreX;
    private final double centreY;

    /** Factor from squared distance in px to squared distance relative to the farthest. */
    private final double perSquare;

    private final double[] factor;
    private final double[] polynomial;
    private final float[] less;

    /**
     * @param unit length in px at which r is 1
     * @param farthest largest r that is requested
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
        this.perSquare = 1 / (unit * unit * farthest * farthest);
        Back back =
                KNOWN.get(new Magnification(farthest, k0, k1, k2), m -> back(farthest, k0, k1, k2));
        this.factor = back.factor;
        this.polynomial = back.polynomial;
        this.less = back.less;
    }

    private static Back back(double farthest, double k0, double k1, double k2) {
        double[] factor = new double[STEPS + 2];
        double r = 0;
        for (int i = 0; i < factor.length; i++) {
            double moved = farthest * Math.sqrt((double) i / STEPS);
            r = i == 0 ? 0 : before(moved, r, k0, k1, k2);
            factor[i] = i == 0 ? 1 / Math.max(1e-3, 1 + k0) : r / moved;
        }
        double[] polynomial = polynomial(factor);
        return new Back(factor, polynomial, polynomial == null ? null : less(polynomial, factor));
    }

    /** The same mapping without a table, for few positions. */
    public static Warp outline(
            double centreX, double centreY, double unit, double k0, double k1, double k2) {
        double turn = turn(k0, k1, k2);
        return (x, y, n) -> {
            for (int i = 0; i < n; i++) {
                double dx = x[i] - centreX;
                double dy = y[i] - centreY;
                double moved = Math.sqrt(dx * dx + dy * dy) / unit;
                if (moved > 0) {
                    double factor = source(moved, turn, k0, k1, k2) / moved;
                    x[i] = centreX + factor * dx;
                    y[i] = centreY + factor * dy;
                }
            }
        };
    }

    /** The smallest r at which the mapping folds back; infinite if there is none. */
    private static double turn(double k0, double k1, double k2) {
        // 1 + k0 + 3 k1 q + 5 k2 q^2 = FLAT, for q = r^2
        double a = 5 * k2;
        double b = 3 * k1;
        double c = 1 + k0 - FLAT;
        double root = b * b - 4 * a * c;
        double q = Double.POSITIVE_INFINITY;
        if (c <= 0) {
            return 0;
        }
        if (a == 0) {
            q = b < 0 ? -c / b : q;
        } else if (root >= 0) {
            double with = -0.5 * (b + Math.copySign(Math.sqrt(root), b));
            for (double each : new double[] {with / a, c / with}) {
                q = each > 0 ? Math.min(q, each) : q;
            }
        }
        return Math.sqrt(q);
    }

    /** The r below the fold that maps to {@code moved}, by Newton's method between two bounds. */
    private static double source(double moved, double turn, double k0, double k1, double k2) {
        if (magnified(Math.min(turn, 1e3), k0, k1, k2) <= moved) {
            return turn;
        }
        double low = 0;
        double high = Math.min(turn, 1e3);
        double r = Math.min(high, moved / Math.max(FLAT, 1 + k0));
        for (int i = 0; i < 60; i++) {
            double over = magnified(r, k0, k1, k2) - moved;
            if (Math.abs(over) < 1e-12 * moved) {
                return r;
            }
            if (over > 0) {
                high = r;
            } else {
                low = r;
            }
            double q = r * r;
            double next = r - over / (1 + k0 + q * (3 * k1 + q * 5 * k2));
            r = next >= low && next <= high ? next : (low + high) / 2;
        }
        return r;
    }

    public static double magnified(double r, double k0, double k1, double k2) {
        double q = r * r;
        return r * (1 + k0 + q * (k1 + q * k2));
    }

    /** The r that maps to {@code moved}, searched outwards from {@code guess}. */
    private static double before(double moved, double guess, double k0, double k1, double k2) {
        double r = Math.max(guess, 1e-9);
        for (int i = 0; i < 40; i++) {
            double q = r * r;
            double slope = 1 + k0 + q * (3 * k1 + q * 5 * k2);
            double by = (moved - magnified(r, k0, k1, k2)) / slope;
            if (slope < FLAT || by < 0 && r + by < guess) {
                return r;
            }
            r += by;
            if (Math.abs(by) < 1e-14 * r) {
                break;
            }
        }
        return r;
    }

    /**
     * The factor is constant beyond the farthest position. The farthest positions of a row are its ends.
     */
    @Override
    public void back(double[] x, double[] y, int n) {
        if (polynomial != null && isWithin(x[0], y[0]) && isWithin(x[n - 1], y[n - 1])) {
            byPolynomial(polynomial, x, y, n);
            return;
        }
        for (int i = 0; i < n; i++) {
            double dx = x[i] - centreX;
            double dy = y[i] - centreY;
            double at = Math.min((dx * dx + dy * dy) * perSquare, 1) * STEPS;
            int k = (int) at;
            double by = factor[k] + (at - k) * (factor[k + 1] - factor[k]);
            x[i] = centreX + by * dx;
            y[i] = centreY + by * dy;
        }
    }

    @Override
    public boolean places(int row, SplitPositions places, int n) {
        if (less == null || !isWithin(0.5, row + 0.5) || !isWithin(n - 0.5, row + 0.5)) {
            return false;
        }
        moves(less, row, places.moveX, places.moveY, n);
        places.move(row, n);
        return true;
    }

    /**
     * As {@link #byPolynomial}, as displacements: these are small, so that floats are accurate enough.
     */
    private void moves(float[] c, int row, float[] moveX, float[] moveY, int n) {
        float a = c[0];
        float b = c[1];
        float d = c[2];
        float e = c[3];
        float f = c[4];
        float g = c[5];
        float h = c[6];
        float left = (float) (0.5 - centreX);
        float dy = (float) (row + 0.5 - centreY);
        float square = dy * dy;
        float per = (float) perSquare;
        for (int i = 0; i < n; i++) {
            float dx = left + i;
            float t = (dx * dx + square) * per;
            float outer = Math.fma(t, Math.fma(t, Math.fma(t, h, g), f), e);
            float by = Math.fma(t, Math.fma(t, Math.fma(t, outer, d), b), a);
            moveX[i] = by * dx;
            moveY[i] = by * dy;
        }
    }

    private boolean isWithin(double x, double y) {
        double dx = x - centreX;
        double dy = y - centreY;
        return (dx * dx + dy * dy) * perSquare <= 1;
    }

    /** Written out inline, so that Java vectorises the loop. */
    private void byPolynomial(double[] c, double[] x, double[] y, int n) {
        double a = c[0];
        double b = c[1];
        double d = c[2];
        double e = c[3];
        double f = c[4];
        double g = c[5];
        double h = c[6];
        double cx = centreX;
        double cy = centreY;
        double per = perSquare;
        for (int i = 0; i < n; i++) {
            double dx = x[i] - cx;
            double dy = y[i] - cy;
            double t = (dx * dx + dy * dy) * per;
            double outer = Math.fma(t, Math.fma(t, Math.fma(t, h, g), f), e);
            double by = Math.fma(t, Math.fma(t, Math.fma(t, outer, d), b), a);
            x[i] = cx + by * dx;
            y[i] = cy + by * dy;
        }
    }

    /** Value of the polynomial. */
    private static double at(double[] c, double t) {
        double sum = 0;
        for (int k = c.length - 1; k >= 0; k--) {
            sum = Math.fma(t, sum, c[k]);
        }
        return sum;
    }

    /**
     * Fits the factor by a polynomial of the squared distance relative to the farthest, through seven of its
     * values; null if the polynomial is not accurate enough at the others.
     */
    private static double[] polynomial(double[] factor) {
        double[] at = new double[7];
        double[] value = new double[7];
        for (int i = 0; i < 7; i++) {
            int k = (int) Math.round(STEPS * (0.5 - 0.5 * StrictMath.cos(Math.PI * (i + 0.5) / 7)));
            at[i] = (double) k / STEPS;
            value[i] = factor[k];
        }
        for (int order = 1; order < 7; order++) {
            for (int i = 6; i >= order; i--) {
                value[i] = (value[i] - value[i - 1]) / (at[i] - at[i - order]);
            }
        }
        double[] c = new double[7];
        c[0] = value[6];
        for (int i = 5; i >= 0; i--) {
            for (int k = 6; k > 0; k--) {
                c[k] = c[k - 1] - at[i] * c[k];
            }
            c[0] = value[i] - at[i] * c[0];
        }
        for (int k = 0; k <= STEPS; k++) {
            if (!(Math.abs(at(c, (double) k / STEPS) - factor[k]) < CLOSE)) {
                return null;
            }
        }
        return c;
    }

    /** The polynomial minus 1 in floats; null if it is not accurate enough. */
    private static float[] less(double[] polynomial, double[] factor) {
        float[] c = new float[polynomial.length];
        for (int k = 0; k < c.length; k++) {
            c[k] = (float) (k == 0 ? polynomial[0] - 1 : polynomial[k]);
        }
        for (int k = 0; k <= STEPS; k++) {
            float t = (float) k / STEPS;
            float sum = 0;
            for (int i = c.length - 1; i >= 0; i--) {
                sum = Math.fma(t, sum, c[i]);
            }
            if (!(Math.abs(sum - (factor[k] - 1)) < CLOSE)) {
                return null;
            }
        }
        return c;
    }
}
