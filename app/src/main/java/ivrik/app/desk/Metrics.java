package ivrik.app.desk;

/** Sizes shared by the matrix and the timeline, in pixels. */
final class Metrics {
    static final double HEAD = 28;

    /** Row height below which drawings are smaller. */
    static final double LOW = 56;

    /** Smallest and largest row height of a channel. */
    private static final double MIN_CHANNEL = 46;

    private static final double MAX_CHANNEL = 92;

    /** Height of layers and transport below the rows. */
    private static final double BELOW = 75 + 28;

    static final double NAME_COLUMN = 136;
    static final double COLUMN = 92;
    static final double PLUS = 30;

    /** Height of the scroll bar below the columns. */
    static final double SCROLL = 9;

    private Metrics() {}

    /** Smallest row height for a text size. */
    static double leastChannel(double text) {
        return Math.rint(MIN_CHANNEL * (1 + text) / 2);
    }

    /**
     * Row height for a number of channels in a desk of a height: the remaining space, at least the smallest
     * height.
     */
    static double channel(int channels, double desk, double text) {
        double free = Math.floor((desk - HEAD - SCROLL - BELOW) / Math.max(1, channels));
        double least = leastChannel(text);
        return Math.clamp(free, least, Math.max(least, MAX_CHANNEL));
    }
}
