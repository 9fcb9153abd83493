package ivrik.core.colour;

/** Hue of a colour in the HSV hexcone. */
public final class Hue {
    /** A full turn in degrees. */
    public static final double TURN = 360;

    private Hue() {}

    /**
     * Hue in degrees, -60 to 300: red is 0, green 120, blue 240. 0 for greys.
     *
     * @param r red; all three channels have the same unit
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
