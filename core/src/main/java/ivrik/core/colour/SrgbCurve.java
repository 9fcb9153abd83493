package ivrik.core.colour;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.VectorMask;
import jdk.incubator.vector.VectorOperators;
import jdk.incubator.vector.VectorSpecies;

/**
 * The transfer function of IEC 61966-2-1 for rows, approximated by polynomials through Chebyshev nodes. Error
 * at most 1.2e-7 relative to the larger of the value and 1; exact at 0 and 1. Vector code and scalar code
 * give the same bits. Odd extension for negative values; far outside the range the exact function is used.
 * <p>The two row methods contain their polynomials inline. They exceed the size that Java inlines into
 * callers on purpose: inlined, they took up to five times as long.
 */
final class SrgbCurve {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    /** Gamma-encoded value below which the function is linear. */
    private static final float STRAIGHT = 0.04045f;

    private static final float STRAIGHT_LIGHT = 0.0031308f;
    private static final float SLOPE = 12.92f;

    /** Multiplying is faster than dividing. */
    private static final float PER_SLOPE = (float) (1 / 12.92);

    /** Linear light at which the two polynomials meet, and their centres. */
    private static final float BORDER = 0.25f;

    private static final float MIDDLE_OF_LOW = 0.145225f;
    private static final float MIDDLE_OF_HIGH = 0.625f;

    /** Coefficients in powers of the distance from the centre. */
    private static final float[] LOW = {
        0.018528406f,
        0.22209099f,
        0.7764451f,
        0.5170739f,
        -0.38743702f,
        0.61089146f,
        -1.3122208f,
        4.373947f,
        -13.013663f
    };

    private static final float[] HIGH = {
        0.3485102f,
        1.2300358f,
        1.2662137f,
        0.24829462f,
        -0.05478446f,
        0.025338942f,
        -0.01599155f,
        0.016257048f,
        -0.014303903f
    };

    /**
     * Coefficients of q in s - (1 - s) q(s), the gamma-encoded value, where s is the fourth root of linear
     * light.
     */
    private static final float[] FROM_ROOT = {
        0.5236264f,
        0.6484133f,
        -0.10369205f,
        0.052242715f,
        -0.038001183f,
        0.03322881f,
        -0.0277036f,
        0.028372107f,
        -0.06955411f,
        0.08476484f
    };

    private static final float MIDDLE_OF_ROOT = 0.61827254f;

    /**
     * Values between 1 and this bound are scaled below 1 first: both functions are powers there, so that the
     * factor is separable.
     */
    private static final float WIDE = 16;

    /** Gamma-encoded {@link #WIDE} before the offset is subtracted. */
    private static final float WIDE_POWER = (float) StrictMath.pow(WIDE, 1 / 2.4);

    private static final float PER_WIDE_POWER = (float) StrictMath.pow(WIDE, -1 / 2.4);

    /** Gamma-encoded {@link #WIDE}. */
    private static final float WIDE_CODE = 1.055f * WIDE_POWER - 0.055f;

    private static final float OFFSET = 0.055f;

    private SrgbCurve() {}

    /** Converts the values from index {@code from} to before {@code to} in place. */
    static void toLinear(float[] values, int from, int to) {
        int i = from;
        for (; i <= to - FLOATS.length(); i += FLOATS.length()) {
            FloatVector v = FloatVector.fromArray(FLOATS, values, i);
            FloatVector size = v.abs();
            if (!size.compare(VectorOperators.LE, WIDE_CODE).allTrue()) {
                for (int k = i; k < i + FLOATS.length(); k++) {
                    values[k] = toLinear(values[k]);
                }
                continue;
            }
            VectorMask<Float> over = size.compare(VectorOperators.GT, 1);
            FloatVector code = size.blend(size.add(OFFSET).mul(PER_WIDE_POWER).sub(OFFSET), over);
            FloatVector s = code.sub(MIDDLE_OF_LOW);
            FloatVector low =
                    all(LOW[8])
                            .fma(s, all(LOW[7]))
                            .fma(s, all(LOW[6]))
                            .fma(s, all(LOW[5]))
                            .fma(s, all(LOW[4]))
                            .fma(s, all(LOW[3]))
                            .fma(s, all(LOW[2]))
                            .fma(s, all(LOW[1]))
                            .fma(s, all(LOW[0]));
            FloatVector t = code.sub(MIDDLE_OF_HIGH);
            FloatVector high =
                    all(HIGH[8])
                            .fma(t, all(HIGH[7]))
                            .fma(t, all(HIGH[6]))
                            .fma(t, all(HIGH[5]))
                            .fma(t, all(HIGH[4]))
                            .fma(t, all(HIGH[3]))
                            .fma(t, all(HIGH[2]))
                            .fma(t, all(HIGH[1]))
                            .fma(t, all(HIGH[0]));
            FloatVector light =
                    low.blend(high, code.compare(VectorOperators.GE, BORDER))
                            .blend(code.mul(PER_SLOPE), code.compare(VectorOperators.LE, STRAIGHT));
            signed(v, light.blend(light.mul(WIDE), over)).intoArray(values, i);
        }
        for (; i < to; i++) {
            values[i] = toLinear(values[i]);
        }
    }

    static float toLinear(float v) {
        float size = Math.abs(v);
        if (!(size <= WIDE_CODE)) {
            return (float) Transfer.SRGB.toLinear(v);
        }
        float light =
                size <= 1 ? light(size) : light((size + OFFSET) * PER_WIDE_POWER - OFFSET) * WIDE;
        return Math.copySign(light, v);
    }

    private static float light(float v) {
        boolean high = v >= BORDER;
        float t = v - (high ? MIDDLE_OF_HIGH : MIDDLE_OF_LOW);
        return v <= STRAIGHT ? v * PER_SLOPE : sum(high ? HIGH : LOW, t);
    }

    private static float sum(float[] of, float t) {
        float sum = of[of.length - 1];
        for (int k = of.length - 2; k >= 0; k--) {
            sum = Math.fma(sum, t, of[k]);
        }
        return sum;
    }

    /** Converts the values from index {@code from} to before {@code to} in place. */
    static void fromLinear(float[] values, int from, int to) {
        int i = from;
        for (; i <= to - FLOATS.length(); i += FLOATS.length()) {
            FloatVector v = FloatVector.fromArray(FLOATS, values, i);
            FloatVector size = v.abs();
            if (!size.compare(VectorOperators.LE, WIDE).allTrue()) {
                for (int k = i; k < i + FLOATS.length(); k++) {
                    values[k] = fromLinear(values[k]);
                }
                continue;
            }
            VectorMask<Float> over = size.compare(VectorOperators.GT, 1);
            FloatVector light = size.blend(size.mul(1 / WIDE), over);
            FloatVector root = light.sqrt().sqrt();
            FloatVector t = root.sub(MIDDLE_OF_ROOT);
            FloatVector q =
                    all(FROM_ROOT[9])
                            .fma(t, all(FROM_ROOT[8]))
                            .fma(t, all(FROM_ROOT[7]))
                            .fma(t, all(FROM_ROOT[6]))
                            .fma(t, all(FROM_ROOT[5]))
                            .fma(t, all(FROM_ROOT[4]))
                            .fma(t, all(FROM_ROOT[3]))
                            .fma(t, all(FROM_ROOT[2]))
                            .fma(t, all(FROM_ROOT[1]))
                            .fma(t, all(FROM_ROOT[0]));
            FloatVector code =
                    root.sub(1)
                            .fma(q, root)
                            .blend(
                                    light.mul(SLOPE),
                                    light.compare(VectorOperators.LE, STRAIGHT_LIGHT));
            FloatVector wide = code.add(OFFSET).mul(WIDE_POWER).sub(OFFSET);
            signed(v, code.blend(wide, over)).intoArray(values, i);
        }
        for (; i < to; i++) {
            values[i] = fromLinear(values[i]);
        }
    }

    static float fromLinear(float v) {
        float size = Math.abs(v);
        if (!(size <= WIDE)) {
            return (float) Transfer.SRGB.fromLinear(v);
        }
        float code = size <= 1 ? code(size) : (code(size / WIDE) + OFFSET) * WIDE_POWER - OFFSET;
        return Math.copySign(code, v);
    }

    private static float code(float v) {
        float s = (float) Math.sqrt((float) Math.sqrt(v));
        return v <= STRAIGHT_LIGHT
                ? v * SLOPE
                : Math.fma(s - 1, sum(FROM_ROOT, s - MIDDLE_OF_ROOT), s);
    }

    private static FloatVector all(float value) {
        return FloatVector.broadcast(FLOATS, value);
    }

    /** The magnitudes of one vector with the signs of another. */
    private static FloatVector signed(FloatVector sign, FloatVector size) {
        VectorMask<Integer> negative = sign.reinterpretAsInts().compare(VectorOperators.LT, 0);
        return size.blend(size.neg(), negative.cast(FLOATS));
    }
}
