package ivrik.core.colour;

/**
 * Transfer functions between gamma-encoded values and linear light, both 0 to 1 from black to white. Each is
 * extended to negative values as an odd function and continues above 1.
 */
public enum Transfer {
    /** Identity. */
    LINEAR {
        @Override
        double positiveToLinear(double v) {
            return v;
        }

        @Override
        double positiveFromLinear(double v) {
            return v;
        }
    },
    /** IEC 61966-2-1. */
    SRGB {
        @Override
        double positiveToLinear(double v) {
            return v <= 0.04045 ? v / 12.92 : StrictMath.pow((v + 0.055) / 1.055, 2.4);
        }

        @Override
        double positiveFromLinear(double v) {
            return v <= 0.0031308 ? v * 12.92 : 1.055 * StrictMath.pow(v, 1 / 2.4) - 0.055;
        }
    },
    /** Display of ITU-R BT.1886 with black at 0: gamma 2.4. */
    BT1886 {
        @Override
        double positiveToLinear(double v) {
            return StrictMath.pow(v, 2.4);
        }

        @Override
        double positiveFromLinear(double v) {
            return StrictMath.pow(v, 1 / 2.4);
        }
    },
    /** Digital cinema: gamma 2.6 (SMPTE RP 431-2). */
    GAMMA26 {
        @Override
        double positiveToLinear(double v) {
            return StrictMath.pow(v, 2.6);
        }

        @Override
        double positiveFromLinear(double v) {
            return StrictMath.pow(v, 1 / 2.6);
        }
    },
    /**
     * Perceptual quantiser of SMPTE ST 2084. Linear light 1 is reference white, 203 cd/m2. The function
     * continues linearly above 1.
     */
    PQ {
        private static final double M1 = 2610.0 / 16384;
        private static final double M2 = 2523.0 / 4096 * 128;
        private static final double C1 = 3424.0 / 4096;
        private static final double C2 = 2413.0 / 4096 * 32;
        private static final double C3 = 2392.0 / 4096 * 32;
        private static final double PEAK = 10_000 / REFERENCE_WHITE;

        @Override
        double positiveToLinear(double v) {
            if (v > 1) {
                return PEAK * v;
            }
            double p = StrictMath.pow(v, 1 / M2);
            return PEAK * StrictMath.pow(Math.max(0, p - C1) / (C2 - C3 * p), 1 / M1);
        }

        @Override
        double positiveFromLinear(double v) {
            if (v > PEAK) {
                return v / PEAK;
            }
            double p = StrictMath.pow(v / PEAK, M1);
            return StrictMath.pow((C1 + C2 * p) / (1 + C3 * p), M2);
        }
    },
    /**
     * Hybrid log-gamma of ITU-R BT.2100, to scene light. {@link ColourConversion} adds the conversion to
     * display light.
     */
    HLG {
        private static final double A = 0.17883277;
        private static final double B = 1 - 4 * A;
        private static final double C = 0.5 - A * StrictMath.log(4 * A);

        @Override
        double positiveToLinear(double v) {
            return v <= 0.5 ? v * v / 3 : (StrictMath.exp((v - C) / A) + B) / 12;
        }

        @Override
        double positiveFromLinear(double v) {
            return v <= 1 / 12.0 ? StrictMath.sqrt(3 * v) : A * StrictMath.log(12 * v - B) + C;
        }
    };

    /** Luminance of reference white in high dynamic range, in cd/m2 (ITU-R BT.2408). */
    public static final double REFERENCE_WHITE = 203;

    abstract double positiveToLinear(double value);

    abstract double positiveFromLinear(double light);

    /** Linear light of a gamma-encoded value. */
    public double toLinear(double value) {
        return value < 0 ? -positiveToLinear(-value) : positiveToLinear(value);
    }

    /** Gamma-encoded value of linear light. */
    public double fromLinear(double light) {
        return light < 0 ? -positiveFromLinear(-light) : positiveFromLinear(light);
    }
}
