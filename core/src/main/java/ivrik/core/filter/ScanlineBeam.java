package ivrik.core.filter;

/**
 * Light of a beam that draws scanlines. Across a line the profile is a Gaussian, repeated line after line.
 * Its Fourier series has coefficients a^(k k), with a = exp(-2 pi^2 s^2) for a beam of sigma s lines.
 * Components that the pixels cannot resolve are left out, as in {@link PatternTile}.
 */
public final class ScanlineBeam {
    /** Number of Fourier components. */
    public static final int PARTS = 3;

    private static final double SEEN_SIGMA = 0.65;
    private static final int STEPS = 30;

    private final double periodPx;
    private final double narrowest;
    private final double strength;
    private final double offset;
    private final double[] seen = new double[PARTS];

    /**
     * @param periodPx distance between lines, in pixels of the picture
     * @param sigma sigma of the beam, in lines
     * @param strength darkness between the lines, 0..1
     * @param offset offset of the lines, in lines
     */
    public ScanlineBeam(double periodPx, double sigma, double strength, double offset) {
        this.periodPx = periodPx;
        this.narrowest = StrictMath.exp(-2 * Math.PI * Math.PI * sigma * sigma);
        this.strength = strength;
        this.offset = offset;
        for (int k = 1; k <= PARTS; k++) {
            double f = k / periodPx;
            seen[k - 1] =
                    strength
                            * StrictMath.exp(
                                    -2 * Math.PI * Math.PI * SEEN_SIGMA * SEEN_SIGMA * f * f);
        }
    }

    /** Whether the lines are visible. */
    public boolean isSeen() {
        return strength > 0 && seen[0] > 1e-6;
    }

    /**
     * Phase within the line period: the cosine, 1 on a line.
     *
     * @param y vertical position in pixels of the picture
     */
    public double phase(double y) {
        return StrictMath.cos(2 * Math.PI * (y / periodPx - 0.5 + offset));
    }

    /** Phases of several positions. */
    public void phases(float[] y, float[] out, int n) {
        float perPx = (float) (1 / periodPx);
        float from = (float) (offset - 0.5);
        for (int i = 0; i < n; i++) {
            out[i] = y[i] * perPx + from;
        }
        TurnCosines.cosines(out, n);
    }

    /** Cosine of {@code k} times a phase, from the cosine of the phase. */
    public static double times(int k, double cosine) {
        return switch (k) {
            case 1 -> cosine;
            case 2 -> 2 * cosine * cosine - 1;
            default -> cosine * (4 * cosine * cosine - 3);
        };
    }

    /**
     * The coefficient a of a beam whose peak is at most {@code most} times its mean. The beam is as narrow as
     * set, or wider.
     */
    public double narrowness(double most) {
        if (peak(narrowest) <= most) {
            return narrowest;
        }
        double low = 0;
        double high = narrowest;
        for (int i = 0; i < STEPS; i++) {
            double middle = (low + high) / 2;
            if (peak(middle) > most) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return low;
    }

    /** Factor of the k-th component relative to a^(k k), for a beam of mean 1. */
    public double strength(int k) {
        return 2 * seen[k - 1];
    }

    private double peak(double a) {
        double sum = 1;
        for (int k = 1; k <= PARTS; k++) {
            double power = a;
            for (int i = 1; i < k * k; i++) {
                power *= a;
            }
            sum += strength(k) * power;
        }
        return sum;
    }
}
