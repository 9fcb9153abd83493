package ivrik.app.desk;

/** Sizes that the matrix and the time beside it share, in pixels. */
final class Metrics {
    static final double HEAD = 28;
    static final double LANE = 70;
    static final double NAME_COLUMN = 124;
    static final double COLUMN = 84;

    private Metrics() {}
}
