package ivrik.app.desk;

import ivrik.core.look.Look;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Project;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Move;

/** One lane's traced value in its row: what it is, what it comes to with jitter, and how it is drawn. */
record Trace(
        Project project, Look look, int step, int lane, String name, double rest, double range) {
    /** The traced name that stands for the jitter's amount. */
    static final String JITTER = "jitter";

    static Trace of(Project project, Look look, int step, int lane, String asked) {
        Description d = look.steps().get(step).kind().description();
        String name = asked.equals(JITTER) || d.has(asked) ? asked : d.main().name();
        double rest = name.equals(JITTER) ? 0 : d.parameter(name).rest();
        double most = 4;
        for (int i = 0; i < look.lanes().size(); i++) {
            Value v = value(look, step, i, name);
            most = Math.max(most, Math.abs(v.rest() - rest) * (v.isMoving() ? 0 : 1));
            for (var peg : v.pegs()) {
                most = Math.max(most, Math.abs(peg.value() - rest));
            }
            if (!name.equals(JITTER)) {
                most = Math.max(most, Math.abs(look.driven(step, i, name, Rational.ZERO)));
            }
            if (!name.equals(JITTER) && d.parameter(name).jitters()) {
                var amount = look.steps().get(step).lanes().get(i).jitter().amount();
                double jitter =
                        amount.isMoving()
                                ? amount.pegs().stream()
                                        .mapToDouble(p -> Math.abs(p.value()))
                                        .max()
                                        .orElse(0)
                                : Math.abs(amount.rest());
                most = Math.max(most, jitter);
            }
        }
        return new Trace(project, look, step, lane, name, rest, most * 1.1);
    }

    static Value value(Look look, int step, int lane, String name) {
        var amounts = look.steps().get(step).lanes().get(lane);
        return name.equals(JITTER) ? amounts.jitter().amount() : amounts.value(name);
    }

    static Look with(Look look, int step, int lane, String name, Value value) {
        return look.withAmounts(
                step,
                lane,
                a ->
                        name.equals(JITTER)
                                ? a.withJitter(a.jitter().withAmount(value))
                                : a.with(name, value));
    }

    Value value() {
        return value(look, step, lane, name);
    }

    /** What the value comes to at a frame, dials and jitter added. */
    double result(long frame) {
        if (look.lanes().get(lane).hold() && look.steps().get(step).kind() instanceof Move) {
            return rest;
        }
        if (name.equals(JITTER)) {
            return value().at(frame);
        }
        return Planner.settings(look, step, lane, Rational.of(frame), project.sequence().rate())
                .number(name);
    }

    /** The height of a value in a row whose middle is at {@code middle}. */
    double y(double value, double middle) {
        return middle - (value - rest) / range * reach();
    }

    double valueAt(double y, double middle) {
        return rest + (middle - y) / reach() * range;
    }

    /** How far from the middle of its row a trace may go, in pixels. */
    private double reach() {
        return Metrics.lane(look.lanes().size()) / 2 - 10;
    }
}
