package ivrik.app.picture;

/**
 * The size playback is rendered at: halved when frames come too late, doubled again when what a frame
 * costs says that one of twice the size is likely to be in time. A size that turns out too large is tried
 * again only after twice as long. For one thread that shows and one that renders.
 */
final class Pace {
    static final double SMALLEST = 0.25;
    private static final int LATE_BEFORE_SMALLER = 6;

    /** So many late frames are forgiven after the size has changed, until the first of the new size are there. */
    private static final int FORGIVEN = 12;

    /** How much of the time that a frame lasts a larger one may take. */
    private static final double SPARE = 0.7;

    /** So many frames must have been rendered at a size before it is thought too small. */
    private static final int FRAMES_BEFORE_LARGER = 24;

    /** The longest that a size is waited for again. */
    private static final int MOST_PATIENCE = 480;

    /** What a frame of four times the pixels costs, as much of the work, decoding first, stays the same. */
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
     * @param secondsPerFrame how long a frame is shown
     */
    Pace(double secondsPerFrame) {
        this.secondsPerFrame = secondsPerFrame;
    }

    /** The size to render at, as a share of the full one: 1, 0.5 or 0.25. */
    synchronized double scale() {
        return scale;
    }

    /** What a frame has cost lately, in seconds. */
    synchronized double secondsEach() {
        return secondsEach;
    }

    /** A frame was or was not ready at its time. */
    synchronized void shown(boolean inTime) {
        if (!inTime && forgiven > 0) {
            forgiven--;
            return;
        }
        late = inTime ? Math.max(0, late - 1) : late + 1;
        if (late > LATE_BEFORE_SMALLER && scale > SMALLEST) {
            if (tried) {
                patience = Math.min(2 * patience, MOST_PATIENCE);
            }
            resize(scale / 2, secondsEach / LARGER_COSTS);
        }
    }

    /** A frame was rendered at this size in so many seconds. */
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
