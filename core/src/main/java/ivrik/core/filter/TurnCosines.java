package ivrik.core.filter;

/**
 * Cosines of angles in turns. As integers, where 2^32 is one turn, angles wrap around by themselves.
 */
public final class TurnCosines {
    private static final float WHOLE = 1.5f * (1 << 23);

    private TurnCosines() {}

    /** Integer of an angle in turns; whole turns are dropped. */
    public static int of(double turns) {
        return (int) (long) (turns * 0x1p32);
    }

    /**
     * Cosines of the first {@code n} angles in turns, each below a million, to within 1e-4, in place. A
     * polynomial of degree four in the square of the fraction of a turn, through Chebyshev nodes.
     */
    public static void cosines(float[] turns, int n) {
        for (int i = 0; i < n; i++) {
            float t = turns[i];
            float left = t - ((t + WHOLE) - WHOLE); // a number this large has no fraction
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
