package ivrik.app.session;

import java.util.List;

/** Step sizes of the arrow keys. */
public final class Nudge {
    public static final List<Double> STEPS = List.of(0.1, 0.5, 1.0, 10.0);

    private Nudge() {}

    /** The next larger step; the smallest after the largest. */
    public static double next(double now) {
        return STEPS.get((STEPS.indexOf(now) + 1) % STEPS.size());
    }
}
