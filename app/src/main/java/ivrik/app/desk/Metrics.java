package ivrik.app.desk;

/** Sizes that the matrix and the time beside it share, in pixels. */
final class Metrics {
    static final double HEAD = 28;
    static final double LANE = 62;
    static final double NAME_COLUMN = 136;
    static final double COLUMN = 92;

    private Metrics() {}
}
