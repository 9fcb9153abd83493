package ivrik.core.treatment;

/** Placement of a step's picture on a channel. */
public final class PatternPlacement {
    public static final String TILED = "tiled";

    /** Fitted by default. */
    public static final Option FIT = fit("fitted", TILED);

    /** Tiled by default. */
    public static final Option TILE = fit(TILED, "fitted");

    private PatternPlacement() {}

    private static Option fit(String... choices) {
        return new Option(
                "fit", "placement", "Fitted to the picture, or tiled at original size", choices);
    }

    /** Whether the step's picture is tiled at its own size. */
    public static boolean isTiled(Settings settings) {
        return settings.choice(FIT).equals(TILED);
    }
}
