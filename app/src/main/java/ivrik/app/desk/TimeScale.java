package ivrik.app.desk;

/** Frames to pixels across and back. */
record TimeScale(double left, double width, long frames) {
    private static final double MARGIN = 12;

    static TimeScale of(double width, long frames) {
        return new TimeScale(MARGIN, Math.max(1, width - 2 * MARGIN), Math.max(1, frames));
    }

    /** Where a frame begins. */
    double x(double frame) {
        return left + frame / frames * width;
    }

    /** The frame at a place, within the sequence. */
    long frame(double x) {
        return Math.clamp((long) Math.floor((x - left) / width * frames), 0, frames - 1);
    }

    double frameWidth() {
        return width / frames;
    }
}
