package ivrik.core.treatment;

/** How a picture lies on a lane. */
public final class Pattern {
    public static final String TILED = "tiled";

    /** Fitted unless tiled. */
    public static final Option FIT = fit("fitted", TILED);

    /** Tiled unless fitted. */
    public static final Option TILE = fit(TILED, "fitted");

    private Pattern() {}

    private static Option fit(String... words) {
        return new Option(
                "fit", "lies", "Fitted into the picture, or repeated at its own size", words);
    }

    /** Whether the picture that a step names is repeated at its own size. */
    public static boolean isTiled(Settings settings) {
        return settings.word(FIT).equals(TILED);
    }
}
