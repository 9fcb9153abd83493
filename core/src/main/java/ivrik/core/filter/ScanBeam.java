package ivrik.core.filter;

/**
 * A beam that draws a picture in lines. Across a line its light is a Gaussian, line after line; that is a
 * Fourier series whose k-th part has the strength a^(k k), with a = exp(-2 pi^2 s^2) for a beam of sigma s
 * lines. Parts that are finer than pixels can show are left out, as {@link PatternTile} does.
 */
public final class ScanBeam {
    /** Parts of the series that are drawn. */
    public static final int PARTS = 3;

    private static final double SEEN_SIGMA = 0.65;
    private static final int STEPS = 30;

    private final double periodPx;
    private final double narrowest;
    private final double strength;
    private final double offset;
    private final double[] seen = new double[PARTS];

    /**
     * @param periodPx from line to line, in pixels of the picture
     * @param sigma of the beam, in lines
     * @param strength how dark it is between the lines, 0..1
     * @param offset of the lines, in lines
     */
    public ScanBeam(double periodPx, double sigma, double strength, double offset) {
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

    /** Whether there is anything to see. */
    public boolean isSeen() {
        return strength > 0 && seen[0] > 1e-6;
    }

    /**
     * Where a place down the picture lies between two lines: the cosine of its phase, which is 1 on a line.
     *
     * @param y in pixels of the picture
     */
    public double phase(double y) {
        return StrictMath.cos(2 * Math.PI * (y / periodPx - 0.5 + offset));
    }

    /** The phases of many places. */
    public void phases(float[] y, float[] out, int n) {
        float perPx = (float) (1 / periodPx);
        float from = (float) (offset - 0.5);
        for (int i = 0; i < n; i++) {
            out[i] = y[i] * perPx + from;
        }
        Turns.cosines(out, n);
    }

    /** The cosine of {@code k} times a phase. */
    public static double times(int k, double cosine) {
        return switch (k) {
            case 1 -> cosine;
            case 2 -> 2 * cosine * cosine - 1;
            default -> cosine * (4 * cosine * cosine - 3);
        };
    }

    /**
     * The a of a beam that nowhere is brighter than {@code most} times its mean; it is as narrow as it is meant
     * to be, or wider.
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

    /** What the k-th part is of a^(k k), such that the parts of a beam of mean 1 are seen. */
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
