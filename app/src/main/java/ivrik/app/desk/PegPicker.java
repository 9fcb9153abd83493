package ivrik.app.desk;

import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Value;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.Optional;

/** Finding pegs and the handles of their eases under the pointer. */
final class PegPicker {
    private static final double REACH = 7;

    /** A peg that is picked: the lane it is in, and its frame. */
    record Picked(int lane, long frame) {}

    private PegPicker() {}

    static Optional<Peg> at(Trace trace, TimeScale scale, double middle, double x, double y) {
        return trace.value().pegs().stream()
                .filter(
                        p ->
                                Math.abs(scale.x(p.frame() + 0.5) - x) < REACH
                                        && Math.abs(trace.y(p.value(), middle) - y) < REACH + 5)
                .findFirst();
    }

    static Optional<Peg> next(Value value, Peg peg) {
        return value.pegs().stream().filter(p -> p.frame() > peg.frame()).findFirst();
    }

    /** Where the two handles of the ease that leaves a peg lie; none if it is not eased. */
    static List<Point2D> knobs(Trace trace, TimeScale scale, double middle, Peg peg) {
        Optional<Peg> next = next(trace.value(), peg);
        if (next.isEmpty() || !(peg.ease() instanceof Ease.Eased e)) {
            return List.of();
        }
        return List.of(
                knob(trace, scale, middle, peg, next.get(), e.x1(), e.y1()),
                knob(trace, scale, middle, peg, next.get(), e.x2(), e.y2()));
    }

    private static Point2D knob(
            Trace trace,
            TimeScale scale,
            double middle,
            Peg from,
            Peg to,
            double share,
            double way) {
        double frame = from.frame() + 0.5 + share * (to.frame() - from.frame());
        return new Point2D(
                scale.x(frame), trace.y(from.value() + way * (to.value() - from.value()), middle));
    }

    /** The ease with one handle moved to a place. */
    static Ease dragged(
            Ease.Eased e,
            int knob,
            Trace trace,
            TimeScale scale,
            double middle,
            Peg from,
            Peg to,
            double x,
            double y) {
        double frames = scale.moment(x) - from.frame() - 0.5;
        double share = Math.clamp(frames / (to.frame() - from.frame()), 0, 1);
        double rise = to.value() - from.value();
        double way =
                rise == 0
                        ? knob
                        : Math.clamp((trace.valueAt(y, middle) - from.value()) / rise, -2, 3);
        return knob == 0
                ? new Ease.Eased(share, way, e.x2(), e.y2())
                : new Ease.Eased(e.x1(), e.y1(), share, way);
    }
}
