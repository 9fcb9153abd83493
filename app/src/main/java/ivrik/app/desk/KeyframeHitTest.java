package ivrik.app.desk;

import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.Optional;

/** Finds keyframes and their easing handles under the pointer. */
final class KeyframeHitTest {
    private static final double GRAB_RADIUS = 7;

    /** A keyframe by channel and frame. */
    record KeyframePosition(int channel, long frame) {}

    private KeyframeHitTest() {}

    static Optional<Keyframe> at(Graph graph, TimeScale scale, double middle, double x, double y) {
        return graph.value().keyframes().stream()
                .filter(
                        p ->
                                Math.abs(scale.x(p.frame() + 0.5) - x) < GRAB_RADIUS
                                        && Math.abs(graph.y(p.value(), middle) - y)
                                                < GRAB_RADIUS + 5)
                .findFirst();
    }

    static Optional<Keyframe> next(Value value, Keyframe keyframe) {
        return value.keyframes().stream().filter(p -> p.frame() > keyframe.frame()).findFirst();
    }

    /** Positions of the two easing handles of a keyframe; empty without easing. */
    static List<Point2D> knobs(Graph graph, TimeScale scale, double middle, Keyframe keyframe) {
        Optional<Keyframe> next = next(graph.value(), keyframe);
        if (next.isEmpty() || !(keyframe.ease() instanceof Ease.Eased e)) {
            return List.of();
        }
        return List.of(
                knob(graph, scale, middle, keyframe, next.get(), e.x1(), e.y1()),
                knob(graph, scale, middle, keyframe, next.get(), e.x2(), e.y2()));
    }

    private static Point2D knob(
            Graph graph,
            TimeScale scale,
            double middle,
            Keyframe from,
            Keyframe to,
            double share,
            double direction) {
        double frame = from.frame() + 0.5 + share * (to.frame() - from.frame());
        return new Point2D(
                scale.x(frame),
                graph.y(from.value() + direction * (to.value() - from.value()), middle));
    }

    /** The easing with one handle moved. */
    static Ease dragged(
            Ease.Eased e,
            int knob,
            Graph graph,
            TimeScale scale,
            double middle,
            Keyframe from,
            Keyframe to,
            double x,
            double y) {
        double frames = scale.moment(x) - from.frame() - 0.5;
        double share = Math.clamp(frames / (to.frame() - from.frame()), 0, 1);
        double rise = to.value() - from.value();
        double direction =
                rise == 0
                        ? knob
                        : Math.clamp((graph.valueAt(y, middle) - from.value()) / rise, -2, 3);
        return knob == 0
                ? new Ease.Eased(share, direction, e.x2(), e.y2())
                : new Ease.Eased(e.x1(), e.y1(), share, direction);
    }
}
