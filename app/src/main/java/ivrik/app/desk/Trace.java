package ivrik.app.desk;

import ivrik.app.session.Plans;
import ivrik.app.session.State;
import ivrik.core.look.Burst;
import ivrik.core.look.Driven;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Targets;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.render.LookPlanner;
import ivrik.core.render.Planner;
import ivrik.core.threads.Cancel;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Move;

import java.util.List;
import java.util.stream.IntStream;

/**
 * One lane's traced value in its row: what it aims at, and how it is drawn. A treatment of the whole
 * picture has one trace, in the first row.
 *
 * @param rest the value in the middle of the row
 * @param range what is as far from it as the row allows
 */
record Trace(Look look, Step step, int lane, String name, double rest, double range) {
    /** The traced name that stands for the jitter's amount. */
    static final String JITTER = OfLane.JITTER;

    /** In steps of the value, or in its unit where a step is more. */
    private static final double LEAST_RANGE = 4;

    static Trace of(Look look, Step step, int lane, String asked) {
        Description d = step.kind().description();
        String name = asked.equals(JITTER) || d.has(asked) ? asked : d.main().name();
        double rest = name.equals(JITTER) ? 0 : d.parameter(name).rest();
        boolean jitters = !name.equals(JITTER) && d.parameter(name).jitters();
        Driven driven = Driven.at(look, Instant.of(0, Rational.of(1)), "");
        double most =
                LEAST_RANGE * (name.equals(JITTER) ? 1 : Math.min(1, d.parameter(name).step()));
        for (int i = 0; i < step.lanes().size(); i++) {
            most = Math.max(most, farthest(value(step, i, name), rest));
            most = Math.max(most, Math.abs(driven.to(target(step, i, name))));
            most = Math.max(most, burst(look, target(step, i, name)));
            if (jitters) {
                most = Math.max(most, farthest(step.amounts(i).jitter().amount(), 0));
            }
        }
        return new Trace(look, step, lane, name, rest, most * 1.1);
    }

    /** How far bursts may drive a value. */
    private static double burst(Look look, Target target) {
        double most = 0;
        for (Burst burst : look.bursts()) {
            double strength =
                    Math.max(Math.abs(burst.strength().rest()), farthest(burst.strength(), 0));
            for (Burst.Drive drive : burst.drives()) {
                if (drive.target().equals(target)) {
                    most = Math.max(most, Math.abs(drive.factor()) * strength);
                }
            }
        }
        return most;
    }

    private static double farthest(Value value, double from) {
        return value.isMoving()
                ? value.pegs().stream()
                        .mapToDouble(Peg::value)
                        .map(v -> Math.abs(v - from))
                        .max()
                        .orElse(0)
                : Math.abs(value.rest() - from);
    }

    private static Value value(Step step, int lane, String name) {
        var amounts = step.amounts(lane);
        return name.equals(JITTER) ? amounts.jitter().amount() : amounts.value(name);
    }

    private static Target target(Step step, int lane, String name) {
        return step.isWhole() ? new OfStep(step.id(), name) : new OfLane(step.id(), lane, name);
    }

    Value value() {
        return value(step, lane, name);
    }

    /** The look with the traced value replaced. */
    Look with(Look changed, Value value) {
        return Targets.with(changed, target(step, lane, name), value);
    }

    /**
     * What the traced value of each lane comes to at each frame, dials and jitter added; to be worked
     * out off the interface thread.
     */
    static double[][] results(State state, Plans plans, String asked, Cancel cancel) {
        Step step = state.step().orElse(null);
        if (step == null) {
            return new double[0][0];
        }
        Layer layer = state.layer().orElseThrow();
        LayerLook layerLook = state.layerLook().orElseThrow();
        Look look = layerLook.look();
        int frames = (int) state.project().frames();
        double[][] results = new double[step.lanes().size()][frames];
        List<Trace> traces =
                IntStream.range(0, results.length).mapToObj(i -> of(look, step, i, asked)).toList();
        for (int n = 0; n < frames; n++) {
            cancel.check();
            Instant instant = plans.planner().instant(layer, Rational.of(n));
            LookPlanner values = Planner.planner(layer, layerLook, instant);
            for (int lane = 0; lane < results.length; lane++) {
                results[lane][n] = traces.get(lane).result(values, n);
            }
        }
        return results;
    }

    private double result(LookPlanner values, long frame) {
        if (name.equals(JITTER)) {
            return value().at(frame);
        }
        boolean held =
                !step.isWhole() && look.lanes().get(lane).hold() && step.kind() instanceof Move;
        return held ? rest : values.settings(step, lane).number(name);
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
