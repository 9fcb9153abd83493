package ivrik.core.sampling;

/**
 * Interpolation between pixels: separable kernels of {@link #taps} weights. Exact on whole pixels; the
 * weights sum to one.
 */
public enum Sampler {
    /** Linear interpolation, the fastest. */
    LINEAR(2) {
        @Override
        double weight(double d) {
            return Math.max(0, 1 - d);
        }

        @Override
        public void weights(float fraction, float[] out) {
            out[0] = 1 - fraction;
            out[1] = fraction;
        }
    },
    /** Catmull-Rom cubic: the spline with B = 0, C = 1/2 of Mitchell and Netravali 1988. */
    CUBIC(4) {
        @Override
        double weight(double d) {
            return d < 1
                    ? (1.5 * d - 2.5) * d * d + 1
                    : d < 2 ? ((-0.5 * d + 2.5) * d - 4) * d + 2 : 0;
        }

        @Override
        public void weights(float f, float[] out) {
            out[0] = ((f * -0.5f + 1) * f - 0.5f) * f;
            out[1] = (f * 1.5f - 2.5f) * f * f + 1;
            out[2] = ((f * -1.5f + 2) * f + 0.5f) * f;
            out[3] = (f * 0.5f - 0.5f) * f * f;
        }
    },
    /** Lanczos windowed sinc with three lobes. */
    LANCZOS(6) {
        @Override
        double weight(double d) {
            if (d < 1e-9) {
                return 1;
            }
            double a = Math.PI * d;
            return d < 3 ? 3 * StrictMath.sin(a) * StrictMath.sin(a / 3) / (a * a) : 0;
        }

        @Override
        public void weights(float fraction, float[] out) {
            int entry = (int) (fraction * Table.STEPS + 0.5f) * out.length;
            System.arraycopy(Table.LANCZOS, entry, out, 0, out.length);
        }
    };

    private final int taps;

    Sampler(int taps) {
        this.taps = taps;
    }

    /** Number of weights. */
    public int taps() {
        return taps;
    }

    /** Index of the first sample relative to the pixel at or before the position. */
    public int firstTap() {
        return 1 - taps / 2;
    }

    /** Kernel value at a distance of {@code d} >= 0 px. */
    abstract double weight(double d);

    /**
     * Weights for a position {@code fraction} in 0..1 beyond a pixel, starting at {@link #firstTap}.
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

    /**
     * Writes the weights into an array of length {@link #taps}, to within 1e-3. For many positions.
     */
    public abstract void weights(float fraction, float[] out);

    /** Lanczos weights in steps of 1/2048, so that positions are off by at most 1/4096 px. */
    private static final class Table {
        static final int STEPS = 2048;
        static final float[] LANCZOS = new float[(STEPS + 1) * Sampler.LANCZOS.taps];

        static {
            for (int i = 0; i <= STEPS; i++) {
                float[] w = Sampler.LANCZOS.weights((double) i / STEPS);
                System.arraycopy(w, 0, LANCZOS, i * w.length, w.length);
            }
        }
    }
}
