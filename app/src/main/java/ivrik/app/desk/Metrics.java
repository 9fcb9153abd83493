package ivrik.app.desk;

/** Sizes that the matrix and the time beside it share, in pixels. */
final class Metrics {
    static final double HEAD = 28;

    /** Rows lower than this have smaller drawings. */
    static final double LOW = 56;

    /** How high the row of a lane is at least, and at most. */
    private static final double LEAST_LANE = 46;

    private static final double MOST_LANE = 92;

    /** Below the rows: layers in time, and the line of transport. */
    private static final double BELOW = 75 + 28;

    static final double NAME_COLUMN = 136;
    static final double COLUMN = 92;
    static final double PLUS = 30;

    /** Room for a scroll bar below the columns. */
    static final double SCROLL = 9;

    private Metrics() {}

    /** How high a row is at least, for words of a size. */
    static double leastLane(double text) {
        return Math.rint(LEAST_LANE * (1 + text) / 2);
    }

    /**
     * How high the row of one of so many lanes is in a desk of a height: what time leaves free is theirs,
     * and no less than words of a size need.
     */
    static double lane(int lanes, double desk, double text) {
        double free = Math.floor((desk - HEAD - SCROLL - BELOW) / Math.max(1, lanes));
        double least = leastLane(text);
        return Math.clamp(free, least, Math.max(least, MOST_LANE));
    }
}
