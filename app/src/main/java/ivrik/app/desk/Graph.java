package ivrik.app.desk;

import ivrik.app.session.GraphTargets;
import ivrik.app.session.Plans;
import ivrik.app.session.State;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.render.LookPlanner;
import ivrik.core.render.Planner;
import ivrik.core.threads.Cancellation;
import ivrik.core.treatment.Move;

import java.util.List;

/**
 * One graphed number: its target and its scale in a row.
 *
 * @param look index of the selected look
 * @param rest value without effect
 * @param middle value in the middle of the row
 * @param range distance from the middle value that fills the row
 * @param halfHeight distance from the middle of the row in pixels for {@code range}
 */
record Graph(
        Layer layer,
        int look,
        Target target,
        int row,
        double rest,
        double middle,
        double range,
        double halfHeight) {
    /** Values of the graphed numbers at each frame. */
    record Results(double[][] set, double[][] total) {
        static final Results NONE = new Results(new double[0][0], new double[0][0]);

        /** Largest distance from a value. */
        double farthest(double from) {
            return Math.max(farthest(set, from), farthest(total, from));
        }

        private static double farthest(double[][] rows, double from) {
            double most = 0;
            for (double[] row : rows) {
                for (double v : row) {
                    most = Math.max(most, Math.abs(v - from));
                }
            }
            return most;
        }

        boolean has(int row, long frames) {
            return row < total.length && total[row].length >= frames;
        }
    }

    Value value() {
        return layer.value(look, target).orElse(Value.ZERO);
    }

    /** The layer with the graphed value replaced. */
    Layer with(Layer changed, Value value) {
        return changed.with(look, target, value);
    }

    boolean isJitter() {
        return switch (target) {
            case OfChannel t -> OfChannel.isJitter(t.parameter());
            case OfStep t -> OfChannel.isJitter(t.parameter());
            default -> false;
        };
    }

    /**
     * Set and total values of the graphed number of each row at each frame, with dials, bursts and jitter; to
     * be computed off the interface thread.
     */
    static Results results(State state, Plans plans, GraphTargets graphed, Cancellation cancel) {
        List<Target> rows = graphed.rows(state);
        int frames = (int) state.project().frames();
        Results results =
                new Results(new double[rows.size()][frames], new double[rows.size()][frames]);
        if (rows.isEmpty()) {
            return results;
        }
        Layer layer = state.layer().orElseThrow();
        LayerLook look = state.layerLook().orElseThrow();
        List<Value> values =
                rows.stream()
                        .map(t -> layer.value(state.lookNumber(), t).orElse(Value.ZERO))
                        .toList();
        for (int n = 0; n < frames; n++) {
            cancel.check();
            Instant instant = plans.planner().instant(layer, Rational.of(n));
            LookPlanner planner = Planner.planner(layer, look, instant);
            for (int row = 0; row < rows.size(); row++) {
                results.set[row][n] = values.get(row).at(n);
                results.total[row][n] = total(look, planner, rows.get(row), values.get(row));
            }
        }
        return results;
    }

    private static double total(LayerLook look, LookPlanner planner, Target target, Value value) {
        Step step = look.look().step(target.stepId()).orElse(null);
        return switch (target) {
            case OfStep t when !OfChannel.isJitter(t.parameter()) ->
                    planner.setting(step, 0, t.parameter());
            case OfChannel t when !OfChannel.isJitter(t.parameter()) -> {
                boolean held = look.look().channels().get(t.channel()).fixed();
                yield held && step.kind() instanceof Move
                        ? step.kind().description().parameter(t.parameter()).rest()
                        : planner.setting(step, t.channel(), t.parameter());
            }
            default -> planner.number(target, value);
        };
    }

    /** Vertical position of a value in a row whose middle is at {@code y}. */
    double y(double value, double y) {
        return y - (value - middle) / range * halfHeight;
    }

    double valueAt(double y, double rowMiddle) {
        return middle + (rowMiddle - y) / halfHeight * range;
    }
}
