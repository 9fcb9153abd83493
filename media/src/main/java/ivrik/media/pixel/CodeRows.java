package ivrik.media.pixel;

/**
 * Converts rows of integer code values to shares of the largest, in loops that Java vectorises. Java
 * vectorises signed integers, so half of the range is subtracted first; it converts floats to bytes and
 * shorts, not to wider integers; and each loop does a single step.
 */
final class CodeRows {
    private static final int BYTE = 256;

    private CodeRows() {}

    /**
     * Reads 8-bit code values.
     *
     * @param stored stored bytes; overwritten
     * @param o start index in {@code out}; values are 0 to 1
     */
    static void read(byte[] stored, float[] out, int o) {
        for (int x = 0; x < stored.length; x++) {
            stored[x] = (byte) (stored[x] - BYTE / 2);
        }
        for (int x = 0; x < stored.length; x++) {
            out[o + x] = (stored[x] + BYTE / 2f) / (BYTE - 1);
        }
    }

    /**
     * Reads code values of up to 16 bits, stored {@code shift} bits up.
     *
     * @param stored stored words; overwritten
     * @param depth number of significant bits
     * @param o start index in {@code out}; values are 0 to 1
     */
    static void read(short[] stored, int shift, int depth, float[] out, int o) {
        int largest = (1 << depth) - 1;
        int half = 1 << depth - 1;
        for (int x = 0; x < stored.length; x++) {
            stored[x] = (short) (((stored[x] & 0xffff) >>> shift & largest) - half);
        }
        float zero = half;
        float one = largest;
        for (int x = 0; x < stored.length; x++) {
            out[o + x] = (stored[x] + zero) / one;
        }
    }

    /**
     * Writes 8-bit code values.
     *
     * @param codes integers from 0 to 255
     */
    static void write(float[] codes, byte[] stored) {
        for (int x = 0; x < stored.length; x++) {
            stored[x] = (byte) codes[x];
        }
    }

    /**
     * Writes code values of up to 16 bits, {@code shift} bits up.
     *
     * @param codes integers
     */
    static void write(float[] codes, int shift, short[] stored) {
        for (int x = 0; x < stored.length; x++) {
            stored[x] = (short) codes[x];
        }
        if (shift > 0) {
            for (int x = 0; x < stored.length; x++) {
                stored[x] = (short) (stored[x] << shift);
            }
        }
    }
}
