package ivrik.core.colour;

/** Luma of gamma-encoded red, green and blue, with the weights of ITU-R BT.709. */
public final class Luma {
    public static final double RED = 0.2126;
    public static final double GREEN = 0.7152;
    public static final double BLUE = 0.0722;

    /** Difference blue minus luma at Cb = 0.5. */
    public static final float PER_CB = (float) (2 * (1 - BLUE));

    /** Difference red minus luma at Cr = 0.5. */
    public static final float PER_CR = (float) (2 * (1 - RED));

    private Luma() {}

    public static float of(float red, float green, float blue) {
        return (float) RED * red + (float) GREEN * green + (float) BLUE * blue;
    }

    /** Luma of the first {@code n} pixels of three rows. */
    public static void row(float[][] rgb, float[] luma, int n) {
        float[] r = rgb[0];
        float[] g = rgb[1];
        float[] b = rgb[2];
        for (int i = 0; i < n; i++) {
            luma[i] = (float) RED * r[i] + (float) GREEN * g[i] + (float) BLUE * b[i];
        }
    }
}
