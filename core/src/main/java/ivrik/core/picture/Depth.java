package ivrik.core.picture;

/**
 * Sample formats: unsigned integers of 8, 10, 12 or 16 bits, where the largest code stands for 1.0, and IEEE
 * 754 half and single floats. Integer codes round-trip through float exactly. Floats are clamped to 0..1 only
 * on the way to integers and are rounded to the nearest code, halves up.
 */
public enum Depth {
    INT8(8),
    INT10(10),
    INT12(12),
    INT16(16),
    HALF(16) {
        @Override
        public float toFloat(int code) {
            return Float.float16ToFloat((short) code);
        }

        @Override
        public int toCode(float value) {
            return Float.floatToFloat16(value) & 0xffff;
        }
    },
    FLOAT(32) {
        @Override
        public float toFloat(int code) {
            return Float.intBitsToFloat(code);
        }

        @Override
        public int toCode(float value) {
            return Float.floatToRawIntBits(value);
        }
    };

    private final int bits;
    private final int largest;

    Depth(int bits) {
        this.bits = bits;
        this.largest = bits < 31 ? (1 << bits) - 1 : -1;
    }

    public int bits() {
        return bits;
    }

    public boolean isInteger() {
        return this != HALF && this != FLOAT;
    }

    /** The integer depth with at least this number of bits. */
    public static Depth ofBits(int bits) {
        return bits <= 8 ? INT8 : bits <= 10 ? INT10 : bits <= 12 ? INT12 : INT16;
    }

    /** Sample of a stored code. */
    public float toFloat(int code) {
        return (float) ((double) code / largest);
    }

    /** Code of a sample; 0 for NaN. */
    public int toCode(float value) {
        return (int) (Math.clamp(value != value ? 0 : value, 0f, 1f) * (double) largest + 0.5);
    }
}
