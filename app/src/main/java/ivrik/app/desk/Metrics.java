package ivrik.app.desk;

/** Sizes that the matrix and the time beside it share, in pixels. */
final class Metrics {
    static final double HEAD = 28;

    /** Rows lower than this have smaller drawings. */
    static final double LOW = 56;

    private static final double LANE = 62;
    private static final double LANE_OF_MANY = 46;
    static final double NAME_COLUMN = 136;
    static final double COLUMN = 92;
    static final double PLUS = 30;

    /** Room for a scroll bar below the columns. */
    static final double SCROLL = 9;

    private Metrics() {}

    /** How high the row of one of so many lanes is. */
    static double lane(int lanes) {
        return lanes > 3 ? LANE_OF_MANY : LANE;
    }
}
