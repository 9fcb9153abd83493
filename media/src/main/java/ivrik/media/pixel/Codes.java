package ivrik.media.pixel;

/**
 * Rows of whole-number codes as shares of the largest, in loops that Java makes vectors of. For that they read numbers
 * with a sign, so half of the range is taken off first; they make bytes and shorts of floats, not of larger whole
 * numbers; and each does one of these steps.
 */
final class Codes {
    private static final int BYTE = 256;

    private Codes() {}

    /**
     * Reads codes of a byte.
     *
     * @param stored as they are stored; something else afterwards
     * @param o where in {@code out} the shares begin, 0 to 1
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
     * Reads codes of up to 16 bits, {@code shift} bits up in what is stored.
     *
     * @param stored as they are stored; something else afterwards
     * @param depth how many bits count
     * @param o where in {@code out} the shares begin, 0 to 1
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
     * Writes codes of a byte.
     *
     * @param codes whole numbers from 0 to 255
     */
    static void write(float[] codes, byte[] stored) {
        for (int x = 0; x < stored.length; x++) {
            stored[x] = (byte) codes[x];
        }
    }

    /**
     * Writes codes of up to 16 bits, {@code shift} bits up in what is stored.
     *
     * @param codes whole numbers
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
