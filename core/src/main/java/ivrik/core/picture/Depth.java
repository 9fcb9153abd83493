package ivrik.core.picture;

/**
 * The form in which samples are stored: unsigned integers of 8, 10, 12 or 16 bit where the largest
 * code stands for 1.0, or IEEE 754 half or single floats. Codes converted to float and back are the
 * same codes; floats outside 0..1 are clamped only on the way to integers, and values between two
 * codes go to the nearer, halves up.
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

    /** The integer depth of these many bits, or the next deeper one. */
    public static Depth ofBits(int bits) {
        return bits <= 8 ? INT8 : bits <= 10 ? INT10 : bits <= 12 ? INT12 : INT16;
    }

    /** The sample that a stored code stands for. */
    public float toFloat(int code) {
        return (float) ((double) code / largest);
    }

    /** The code to store for a sample; not a number becomes 0. */
    public int toCode(float value) {
        return (int) (Math.clamp(value != value ? 0 : value, 0f, 1f) * (double) largest + 0.5);
    }
}
