package ivrik.core.colour;

/** The cube root, the same on every machine: a guess from the exponent, then Halley's steps. */
public final class CubeRoot {
    /** Two thirds of the bias of a double's exponent, set so that the guess is within 4 %. */
    private static final long BIAS = 0x2A9F7893782DA1CEL;

    private CubeRoot() {}

    /** With a relative error under 1e-12; odd. */
    public static double of(double x) {
        double a = Math.abs(x);
        if (!(a > 0 && a < Double.POSITIVE_INFINITY)) {
            return x;
        }
        double y = Double.longBitsToDouble(Double.doubleToRawLongBits(a) / 3 + BIAS);
        y = step(y, a);
        y = step(y, a);
        return Math.copySign(y, x);
    }

    private static double step(double y, double a) {
        double cube = y * y * y;
        return y * (cube + 2 * a) / (2 * cube + a);
    }
}
