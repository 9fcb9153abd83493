package ivrik.core.treatment;

/** Powers of values that may be negative. */
final class Powers {
    private Powers() {}

    /** |v| to a power, with the sign of v. */
    static float signed(float v, double power) {
        float p = (float) StrictMath.pow(Math.abs(v), power);
        return v < 0 ? -p : p;
    }
}
