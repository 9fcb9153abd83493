package ivrik.core.colour;

/** Where a colour lies on the circle of hues, as HSV has it. */
public final class Hue {
    /** A whole turn. */
    public static final double TURN = 360;

    private Hue() {}

    /**
     * Degrees from -60 up to under 300: 0 at red, 120 at green, 240 at blue. Of what has no hue, 0.
     *
     * @param r red, in the same units as the others
     */
    public static double degrees(float r, float g, float b) {
        float high = Math.max(r, Math.max(g, b));
        float chroma = high - Math.min(r, Math.min(g, b));
        if (chroma <= 0) {
            return 0;
        }
        double sixth =
                high == r
                        ? (g - b) / chroma
                        : high == g ? 2 + (b - r) / chroma : 4 + (r - g) / chroma;
        return 60 * sixth;
    }
}
