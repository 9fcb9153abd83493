package ivrik.app.desk;

import ivrik.app.session.View;

/**
 * Converts between frames and horizontal pixels.
 *
 * @param from frame at the left side
 * @param shown number of visible frames
 * @param frames total number of frames
 */
record TimeScale(double left, double width, double from, double shown, long frames) {
    private static final double MARGIN = 12;

    /** Smallest number of visible frames. */
    private static final double FEWEST = 8;

    /** The visible part of a view. */
    static TimeScale of(View view, double width, long frames) {
        long all = Math.max(1, frames);
        double shown = view.timeShown.get() <= 0 ? all : Math.min(all, view.timeShown.get());
        double from = Math.clamp(view.timeFrom.get(), 0, all - shown);
        return new TimeScale(MARGIN, Math.max(1, width - 2 * MARGIN), from, shown, all);
    }

    /** Horizontal position of the start of a frame. */
    double x(double frame) {
        return left + (frame - from) / shown * width;
    }

    /** The moment at a position, in frames. */
    double moment(double x) {
        return from + (x - left) / width * shown;
    }

    /** The frame at a position, within the sequence. */
    long frame(double x) {
        return Math.clamp((long) Math.floor(moment(x)), 0, frames - 1);
    }

    double frameWidth() {
        return width / shown;
    }

    /** First visible frame. */
    long first() {
        return (long) Math.clamp(Math.floor(moment(0)), 0, frames - 1);
    }

    /** Frame after the last visible one. */
    long end() {
        return (long) Math.clamp(Math.ceil(moment(left + width + MARGIN)), 1, frames);
    }

    /** Zooms by a factor about a position. */
    void zoom(View view, double times, double x) {
        double next = Math.clamp(shown * times, Math.min(FEWEST, frames), frames);
        double share = (x - left) / width;
        view.timeFrom.set(Math.clamp(moment(x) - share * next, 0, frames - next));
        view.timeShown.set(next >= frames ? 0 : next);
    }

    /** Scrolls by pixels to the right. */
    void pan(View view, double pixels) {
        view.timeFrom.set(Math.clamp(from + pixels / width * shown, 0, frames - shown));
    }

    /** Scrolls to make a frame visible. */
    void reveal(View view, long frame) {
        if (frame < Math.floor(from) || frame >= from + shown) {
            view.timeFrom.set(Math.clamp(frame - shown / 8, 0, frames - shown));
        }
    }
}
