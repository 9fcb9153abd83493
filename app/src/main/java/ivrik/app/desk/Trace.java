package ivrik.app.desk;

import ivrik.app.session.Plans;
import ivrik.app.session.State;
import ivrik.app.session.Traced;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.render.LookPlanner;
import ivrik.core.render.Planner;
import ivrik.core.threads.Cancel;
import ivrik.core.treatment.Move;

import java.util.List;

/**
 * One traced number: what it aims at, and how it is drawn in its row.
 *
 * @param look the number of the layer's look that is on the desk
 * @param rest where it has no effect
 * @param middle the value in the middle of the row
 * @param range what is as far from it as the row allows
 * @param reach how far from the middle of its row that is, in pixels
 */
record Trace(
        Layer layer,
        int look,
        Target target,
        int row,
        double rest,
        double middle,
        double range,
        double reach) {
    /** What the traced numbers of all rows are at each frame. */
    record Results(double[][] set, double[][] total) {
        static final Results NONE = new Results(new double[0][0], new double[0][0]);

        /** How far from a value any of them is. */
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

    /** The layer with the traced value replaced. */
    Layer with(Layer changed, Value value) {
        return changed.with(look, target, value);
    }

    boolean isJitter() {
        return switch (target) {
            case OfLane t -> OfLane.isJitter(t.parameter());
            case OfStep t -> OfLane.isJitter(t.parameter());
            default -> false;
        };
    }

    /**
     * What the traced number of each row is set to and comes to at each frame, dials, bursts and jitter
     * added; to be worked out off the interface thread.
     */
    static Results results(State state, Plans plans, Traced traced, Cancel cancel) {
        List<Target> rows = traced.rows(state);
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
            case OfStep t when !OfLane.isJitter(t.parameter()) ->
                    planner.setting(step, 0, t.parameter());
            case OfLane t when !OfLane.isJitter(t.parameter()) -> {
                boolean held = look.look().lanes().get(t.lane()).hold();
                yield held && step.kind() instanceof Move
                        ? step.kind().description().parameter(t.parameter()).rest()
                        : planner.setting(step, t.lane(), t.parameter());
            }
            default -> planner.number(target, value);
        };
    }

    /** The height of a value in a row whose middle is at {@code y}. */
    double y(double value, double y) {
        return y - (value - middle) / range * reach;
    }

    double valueAt(double y, double rowMiddle) {
        return middle + (rowMiddle - y) / reach * range;
    }
}
