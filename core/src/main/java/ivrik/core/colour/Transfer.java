package ivrik.core.colour;

/**
 * Transfer functions between values as delivered (0..1 between black and white) and linear light
 * (the same range). Each is extended to negative values as an odd function and goes on above 1.
 */
public enum Transfer {
    /** No change. */
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
    /** The display of ITU-R BT.1886 with a black of zero: a gamma of 2.4. */
    BT1886 {
        @Override
        double positiveToLinear(double v) {
            return StrictMath.pow(v, 2.4);
        }

        @Override
        double positiveFromLinear(double v) {
            return StrictMath.pow(v, 1 / 2.4);
        }
    };

    abstract double positiveToLinear(double value);

    abstract double positiveFromLinear(double light);

    /** Linear light of a delivered value. */
    public double toLinear(double value) {
        return value < 0 ? -positiveToLinear(-value) : positiveToLinear(value);
    }

    /** The delivered value of linear light. */
    public double fromLinear(double light) {
        return light < 0 ? -positiveFromLinear(-light) : positiveFromLinear(light);
    }
}
