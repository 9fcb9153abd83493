package ivrik.app.picture;

/**
 * Adapts the size of playback: halves it when frames are late, doubles it when the measured cost suggests
 * that the larger size will be on time. A size that proved too large is tried again only after twice the
 * previous time. For one displaying and one rendering thread.
 */
final class PlaybackSize {
    static final double SMALLEST = 0.25;
    private static final int LATE_BEFORE_SMALLER = 6;

    /**
     * Late frames that are ignored after a change of size, until the first frames of the new size arrive.
     */
    private static final int FORGIVEN = 12;

    /** Largest share of a frame's duration for rendering at the larger size. */
    private static final double SPARE = 0.7;

    /** Frames that must be rendered at a size before a larger one is tried. */
    private static final int FRAMES_BEFORE_LARGER = 24;

    /** Longest waiting time before a size is tried again, in frames. */
    private static final int MAX_PATIENCE = 480;

    /**
     * Estimated cost factor of four times the pixels; part of the work, mainly decoding, stays the same.
     */
    private static final double LARGER_COSTS = 2.5;

    private final double secondsPerFrame;
    private double scale = 1;
    private int late;
    private int forgiven;
    private int rendered;
    private double secondsEach;
    private int patience = FRAMES_BEFORE_LARGER;
    private boolean tried;

    /**
     * @param secondsPerFrame duration of a frame
     */
    PlaybackSize(double secondsPerFrame) {
        this.secondsPerFrame = secondsPerFrame;
    }

    /** Size to render at, relative to full size: 1, 0.5 or 0.25. */
    synchronized double scale() {
        return scale;
    }

    /** Recent cost of a frame in seconds. */
    synchronized double secondsEach() {
        return secondsEach;
    }

    /** Records whether a frame was on time. */
    synchronized void shown(boolean inTime) {
        if (!inTime && forgiven > 0) {
            forgiven--;
            return;
        }
        late = inTime ? Math.max(0, late - 1) : late + 1;
        if (late > LATE_BEFORE_SMALLER && scale > SMALLEST) {
            if (tried) {
                patience = Math.min(2 * patience, MAX_PATIENCE);
            }
            resize(scale / 2, secondsEach / LARGER_COSTS);
        }
    }

    /** Records the cost of a frame at a size. */
    synchronized void rendered(double at, double seconds) {
        if (at != scale) {
            return;
        }
        secondsEach = rendered == 0 ? seconds : 0.7 * secondsEach + 0.3 * seconds;
        rendered++;
        double larger = secondsEach * LARGER_COSTS;
        if (scale < 1 && rendered >= patience && larger < SPARE * secondsPerFrame) {
            tried = true;
            resize(scale * 2, larger);
        }
    }

    private void resize(double to, double expectedSeconds) {
        scale = to;
        secondsEach = expectedSeconds;
        late = 0;
        forgiven = FORGIVEN;
        rendered = 0;
    }
}
