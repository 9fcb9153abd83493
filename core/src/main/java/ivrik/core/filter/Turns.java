package ivrik.core.filter;

/** Cosines of turns. A turn as a whole number comes round by itself: 2^32 of them are one. */
public final class Turns {
    private static final float WHOLE = 1.5f * (1 << 23);

    private Turns() {}

    /** So many turns, whole ones left out. */
    public static int of(double turns) {
        return (int) (long) (turns * 0x1p32);
    }

    /**
     * The cosines of the first {@code n} numbers of turns, up to a million of them, to within 1e-4; in place. A
     * polynomial of the fourth degree in the square of what is left of whole turns, by Chebyshev's nodes.
     */
    public static void cosines(float[] turns, int n) {
        for (int i = 0; i < n; i++) {
            float t = turns[i];
            float left =
                    t - ((t + WHOLE) - WHOLE); // a number so large has no digits after the point
            float z = left * left;
            turns[i] =
                    0.99995823f
                            + z
                                    * (-19.730842f
                                            + z
                                                    * (64.669441f
                                                            + z * (-82.378033f + z * 45.595549f)));
        }
    }
}
