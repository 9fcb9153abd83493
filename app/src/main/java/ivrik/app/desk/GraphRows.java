package ivrik.app.desk;

import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.look.Burst;
import ivrik.core.look.DrivenValues;
import ivrik.core.look.Look;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Targets;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;

/** The rows of the timeline and their graphs: a row per channel, or one tall plot. */
final class GraphRows {
    /** Smallest range of a row, in parameter steps or units, whichever is more. */
    private static final double MIN_RANGE = 4;

    /** Range relative to the largest value. */
    private static final double ROOM = 1.1;

    /** Margin above and below a graph in pixels. */
    private static final double MARGIN = 10;

    private final State state;
    private final View view;
    private final List<Target> targets;
    private final int channels;
    private final Graph.Results results;

    /** Computed on first use. */
    private double range;

    private final double rest;

    GraphRows(State state, View view) {
        this(state, view, Graph.Results.NONE);
    }

    /**
     * @param results known values of the numbers; the range is chosen to show all of them
     */
    GraphRows(State state, View view, Graph.Results results) {
        this.state = state;
        this.view = view;
        this.targets = view.graphed.get().rows(state);
        this.channels = state.look().map(l -> l.channels().size()).orElse(0);
        this.rest =
                targets.isEmpty() ? 0 : range(targets.getFirst()).map(Parameter::rest).orElse(0.0);
        this.results = results;
    }

    /** Number of rows with a graph. */
    int count() {
        return targets.size();
    }

    boolean isTall() {
        return view.tall.get();
    }

    /** Number of rows. */
    int channels() {
        return channels;
    }

    double height() {
        return Metrics.channel(channels, view.deskHeight.get(), view.textScale.get());
    }

    double top(int row) {
        return Metrics.HEAD + row * height();
    }

    /** Bottom of the last row. */
    double bottom() {
        return top(channels);
    }

    /** Vertical position of a row's middle value. */
    double middle(int row) {
        return isTall() ? (Metrics.HEAD + bottom()) / 2 : top(row) + height() / 2;
    }

    /** The row at a vertical position; the selected channel's in a tall plot. */
    int at(double y) {
        return isTall()
                ? Math.min(state.channel(), Math.max(0, count() - 1))
                : (int) Math.floor((y - Metrics.HEAD) / height());
    }

    /** The default of the graphed numbers. */
    double rest() {
        return rest;
    }

    Value value(int row) {
        return state.layer()
                .flatMap(l -> l.value(state.lookNumber(), targets.get(row)))
                .orElse(Value.ZERO);
    }

    /** The layer with the number graphed in a row replaced. */
    Layer with(Layer changed, int row, Value value) {
        return changed.with(state.lookNumber(), targets.get(row), value);
    }

    Graph graph(int row) {
        double tall = isTall() ? bottom() - Metrics.HEAD : height();
        return new Graph(
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

    /** A common range that shows all graphs, so that rows are comparable. */
    private double fitting() {
        Look look = state.look().orElseThrow();
        Layer layer = state.layer().orElseThrow();
        DrivenValues driven = DrivenValues.at(look, Instant.of(0, Rational.of(1)), "");
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
        return MIN_RANGE * Math.min(1, step);
    }

    private static double jitter(Look look, Target target) {
        String name =
                switch (target) {
                    case OfChannel t -> t.parameter();
                    case OfStep t -> t.parameter();
                    default -> "";
                };
        return look.step(target.stepId())
                .filter(s -> s.kind().description().knows(name))
                .map(
                        s ->
                                s.settings(Math.max(0, target.channel()))
                                        .jitterOf(s.kind().description().parameter(name)))
                .map(jitter -> farthest(jitter.amount(), 0))
                .orElse(0.0);
    }

    /** Largest contribution of bursts to a value. */
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
                ? value.keyframes().stream()
                        .mapToDouble(Keyframe::value)
                        .map(v -> Math.abs(v - from))
                        .max()
                        .orElse(0)
                : Math.abs(value.rest() - from);
    }
}
