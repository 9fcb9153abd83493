package ivrik.core.filter;

/**
 * Cosines of turns, looked up. A turn is a whole number that comes round by itself: 2^32 of them are one.
 */
public final class Turns {
    private static final int BITS = 12;
    private static final int SHIFT = Integer.SIZE - BITS;
    private static final float[] COSINE = new float[1 << BITS];

    static {
        for (int i = 0; i < COSINE.length; i++) {
            COSINE[i] = (float) StrictMath.cos(2 * Math.PI * (i + 0.5) / COSINE.length);
        }
    }

    private Turns() {}

    /** So many turns, whole ones left out. */
    public static int of(double turns) {
        return (int) (long) (turns * 0x1p32);
    }

    /** The cosine, to within 1e-3. */
    public static float cosine(int turn) {
        return COSINE[turn >>> SHIFT];
    }
}
