package ivrik.app.desk;

import ivrik.app.session.View;

/**
 * Frames to pixels across and back.
 *
 * @param from the frame at the left side
 * @param shown how many frames there are from there to the right side
 * @param frames how many there are in all
 */
record TimeScale(double left, double width, double from, double shown, long frames) {
    private static final double MARGIN = 12;

    /** Fewer frames than these are not shown. */
    private static final double FEWEST = 8;

    /** As much as the view shows of so many frames. */
    static TimeScale of(View view, double width, long frames) {
        long all = Math.max(1, frames);
        double shown = view.timeShown.get() <= 0 ? all : Math.min(all, view.timeShown.get());
        double from = Math.clamp(view.timeFrom.get(), 0, all - shown);
        return new TimeScale(MARGIN, Math.max(1, width - 2 * MARGIN), from, shown, all);
    }

    /** Where a frame begins. */
    double x(double frame) {
        return left + (frame - from) / shown * width;
    }

    /** The moment at a place, in frames. */
    double moment(double x) {
        return from + (x - left) / width * shown;
    }

    /** The frame at a place, within the sequence. */
    long frame(double x) {
        return Math.clamp((long) Math.floor(moment(x)), 0, frames - 1);
    }

    double frameWidth() {
        return width / shown;
    }

    /** The first frame of which something is seen. */
    long first() {
        return (long) Math.clamp(Math.floor(moment(0)), 0, frames - 1);
    }

    /** The first frame of which nothing is seen any more. */
    long end() {
        return (long) Math.clamp(Math.ceil(moment(left + width + MARGIN)), 1, frames);
    }

    /** Shows so many times as much, the moment at a place staying where it is. */
    void zoom(View view, double times, double x) {
        double next = Math.clamp(shown * times, Math.min(FEWEST, frames), frames);
        double share = (x - left) / width;
        view.timeFrom.set(Math.clamp(moment(x) - share * next, 0, frames - next));
        view.timeShown.set(next >= frames ? 0 : next);
    }

    /** Shows what lies so many pixels to the right. */
    void pan(View view, double pixels) {
        view.timeFrom.set(Math.clamp(from + pixels / width * shown, 0, frames - shown));
    }

    /** Shows other frames if need be, so that one is seen. */
    void reveal(View view, long frame) {
        if (frame < Math.floor(from) || frame >= from + shown) {
            view.timeFrom.set(Math.clamp(frame - shown / 8, 0, frames - shown));
        }
    }
}
