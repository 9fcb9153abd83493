package ivrik.core.colour;

/**
 * Cube root with the same bits on every machine: an estimate from a small table and one step of Halley's
 * method.
 */
public final class CubeRoot {
    private static final int FRACTION_BITS = 52;
    private static final int BIAS = 1023;

    /** Number of table entries per octave, as a power of two. */
    private static final int FINE_BITS = 7;

    /** Cube roots at the centres of the table intervals over 1 to 8. */
    private static final double[] GUESS = new double[3 << FINE_BITS];

    static {
        int pieces = 1 << FINE_BITS;
        for (int i = 0; i < GUESS.length; i++) {
            double middle = 1 + (i % pieces + 0.5) / pieces;
            GUESS[i] = StrictMath.cbrt(Math.scalb(middle, i / pieces));
        }
    }

    private CubeRoot() {}

    /** Cube root with a relative error below 1e-8. Odd function. */
    public static double of(double x) {
        double a = Math.abs(x);
        if (!(a >= Double.MIN_NORMAL && a < Double.POSITIVE_INFINITY)) {
            return StrictMath.cbrt(x);
        }
        long bits = Double.doubleToRawLongBits(a);
        int exponent = (int) (bits >>> FRACTION_BITS) - BIAS;
        int third = Math.floorDiv(exponent, 3);
        int octave = exponent - 3 * third;
        int piece =
                octave << FINE_BITS
                        | (int) (bits >>> FRACTION_BITS - FINE_BITS) & (1 << FINE_BITS) - 1;
        double y = GUESS[piece] * Double.longBitsToDouble((long) (third + BIAS) << FRACTION_BITS);
        double cube = y * y * y;
        return Math.copySign(y * (cube + 2 * a) / (2 * cube + a), x);
    }
}
