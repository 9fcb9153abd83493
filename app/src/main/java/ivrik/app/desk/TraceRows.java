package ivrik.app.desk;

import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.look.Burst;
import ivrik.core.look.Driven;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Targets;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;

/** The rows of the desk in time, and what is traced in them: a row for each lane, or all in one tall plot. */
final class TraceRows {
    /** The least that a row shows, in steps of the value, or in its unit where a step is more. */
    private static final double LEAST_RANGE = 4;

    /** How much more than the farthest of a trace its row shows. */
    private static final double ROOM = 1.1;

    /** Free above and below a trace that reaches as far as its row allows, in pixels. */
    private static final double MARGIN = 10;

    private final State state;
    private final View view;
    private final List<Target> targets;
    private final int lanes;
    private final Trace.Results results;

    /** Worked out when it is needed first. */
    private double range;

    private final double rest;

    TraceRows(State state, View view) {
        this(state, view, Trace.Results.NONE);
    }

    /**
     * @param results what the numbers come to, as far as it is known; traces are drawn so that all of it is
     *     seen
     */
    TraceRows(State state, View view, Trace.Results results) {
        this.state = state;
        this.view = view;
        this.targets = view.traced.get().rows(state);
        this.lanes = state.look().map(l -> l.lanes().size()).orElse(0);
        this.rest =
                targets.isEmpty() ? 0 : range(targets.getFirst()).map(Parameter::rest).orElse(0.0);
        this.results = results;
    }

    /** How many rows have a trace. */
    int count() {
        return targets.size();
    }

    boolean isTall() {
        return view.tall.get();
    }

    /** How many rows there are. */
    int lanes() {
        return lanes;
    }

    double height() {
        return Metrics.lane(lanes, view.deskHeight.get(), view.textScale.get());
    }

    double top(int row) {
        return Metrics.HEAD + row * height();
    }

    /** Below the last row. */
    double bottom() {
        return top(lanes);
    }

    /** Where the middle value of a row's trace lies. */
    double middle(int row) {
        return isTall() ? (Metrics.HEAD + bottom()) / 2 : top(row) + height() / 2;
    }

    /** The row at a height; in a tall plot that of the lane being worked on. */
    int at(double y) {
        return isTall()
                ? Math.min(state.lane(), Math.max(0, count() - 1))
                : (int) Math.floor((y - Metrics.HEAD) / height());
    }

    /** Where the traced numbers have no effect. */
    double rest() {
        return rest;
    }

    Value value(int row) {
        return state.layer()
                .flatMap(l -> l.value(state.lookNumber(), targets.get(row)))
                .orElse(Value.ZERO);
    }

    /** The layer with the number traced in a row replaced. */
    Layer with(Layer changed, int row, Value value) {
        return changed.with(state.lookNumber(), targets.get(row), value);
    }

    Trace trace(int row) {
        double tall = isTall() ? bottom() - Metrics.HEAD : height();
        return new Trace(
                state.layer().orElseThrow(),
                state.lookNumber(),
                targets.get(row),
                row,
                rest,
                rest + view.valueMiddle.get(),
                range() / view.valueZoom.get(),
                tall / 2 - MARGIN);
    }

    private double range() {
        if (range == 0) {
            boolean known = results.has(count() - 1, state.project().frames());
            range = ROOM * (known ? Math.max(least(), results.farthest(rest)) : fitting());
        }
        return range;
    }

    private Optional<Parameter> range(Target target) {
        return state.look().flatMap(look -> Targets.range(look, target));
    }

    /** About the range that shows all of every row's trace, so that rows compare. */
    private double fitting() {
        Look look = state.look().orElseThrow();
        Layer layer = state.layer().orElseThrow();
        Driven driven = Driven.at(look, Instant.of(0, Rational.of(1)), "");
        double most = least();
        for (Target target : targets) {
            Value value = layer.value(state.lookNumber(), target).orElse(Value.ZERO);
            most =
                    Math.max(
                            most,
                            farthest(value, rest)
                                    + Math.abs(driven.to(target))
                                    + burst(look, target)
                                    + jitter(look, target));
        }
        return most;
    }

    private double least() {
        double step = range(targets.getFirst()).map(Parameter::step).orElse(1.0);
        return LEAST_RANGE * Math.min(1, step);
    }

    private static double jitter(Look look, Target target) {
        String name =
                switch (target) {
                    case OfLane t -> t.parameter();
                    case OfStep t -> t.parameter();
                    default -> "";
                };
        return look.step(target.stepId())
                .filter(s -> s.kind().description().knows(name))
                .map(
                        s ->
                                s.amounts(Math.max(0, target.lane()))
                                        .jitterOf(s.kind().description().parameter(name)))
                .map(jitter -> farthest(jitter.amount(), 0))
                .orElse(0.0);
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
}
