package ivrik.core.picture;

/**
 * How a value between pixels is found: a separable kernel of {@link #taps} weights. All are exact on
 * whole pixels, and their weights sum to one.
 */
public enum Sampler {
    /** Linear: quick. */
    QUICK(2) {
        @Override
        double weight(double d) {
            return Math.max(0, 1 - d);
        }
    },
    /** Catmull-Rom cubic, the cardinal spline with B = 0, C = 1/2 of Mitchell and Netravali 1988. */
    GOOD(4) {
        @Override
        double weight(double d) {
            return d < 1
                    ? (1.5 * d - 2.5) * d * d + 1
                    : d < 2 ? ((-0.5 * d + 2.5) * d - 4) * d + 2 : 0;
        }
    },
    /** Lanczos windowed sinc with three lobes. */
    BEST(6) {
        @Override
        double weight(double d) {
            if (d < 1e-9) {
                return 1;
            }
            double a = Math.PI * d;
            return d < 3 ? 3 * StrictMath.sin(a) * StrictMath.sin(a / 3) / (a * a) : 0;
        }
    };

    private static final int STEPS = 2048;

    private final int taps;
    private float[] table;

    Sampler(int taps) {
        this.taps = taps;
    }

    /** How many samples in a row one value is made of. */
    public int taps() {
        return taps;
    }

    /** The first of those samples, relative to the whole pixel at or before the position. */
    public int firstTap() {
        return 1 - taps / 2;
    }

    /**
     * The weights of {@link #weights} for fractions in steps of 1/2048, one after the other, the last
     * for 1; rounded to the nearest of them a position is at most 1/4096 pixel off.
     */
    public synchronized float[] table() {
        if (table == null) {
            float[] made = new float[(STEPS + 1) * taps];
            for (int i = 0; i <= STEPS; i++) {
                System.arraycopy(weights((double) i / STEPS), 0, made, i * taps, taps);
            }
            table = made;
        }
        return table;
    }

    /** The place in {@link #table} of the weights for a fraction in 0..1. */
    public int entry(float fraction) {
        return (int) (fraction * STEPS + 0.5f) * taps;
    }

    /** The kernel at a distance of {@code d} >= 0 pixels. */
    abstract double weight(double d);

    /**
     * The weights for a position {@code fraction} in 0..1 past a whole pixel, the first for the
     * sample at {@link #firstTap}.
     */
    public float[] weights(double fraction) {
        double[] w = new double[taps];
        double sum = 0;
        for (int k = 0; k < taps; k++) {
            w[k] = weight(Math.abs(fraction - (firstTap() + k)));
            sum += w[k];
        }
        float[] weights = new float[taps];
        for (int k = 0; k < taps; k++) {
            weights[k] = (float) (w[k] / sum);
        }
        return weights;
    }
}
