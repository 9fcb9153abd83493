package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.separation.LaneKind;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Reading and changing what the lanes of the selected look are at a frame. */
public final class Lanes {
    private Lanes() {}

    public static List<LaneKind> kinds(State state) {
        return state.look().map(l -> l.model().lanes()).orElse(List.of());
    }

    /** The selected treatment, if there is one. */
    public static Optional<Treatment> treatment(State state) {
        return state.look()
                .filter(l -> state.step() < l.steps().size())
                .map(l -> l.steps().get(state.step()).kind());
    }

    /** Whether the selected treatment moves lanes to places. */
    public static boolean hasShift(State state) {
        return treatment(state).filter(t -> t.description().control() == Control.PAD).isPresent();
    }

    /** Each lane's own shift in the selected step, without dials and jitter. */
    public static List<Point2D> shifts(State state, long frame) {
        return state.look()
                .map(
                        look ->
                                IntStream.range(0, look.lanes().size())
                                        .mapToObj(i -> shift(look, state.step(), i, frame))
                                        .toList())
                .orElse(List.of());
    }

    static Point2D shift(Look look, int step, int lane, long frame) {
        return place(look.steps().get(step).lanes().get(lane), frame, "x", "y");
    }

    /** With a parameter set as seen at a frame, within its range. */
    public static Look with(
            Look look, int step, int lane, long frame, String parameter, double value) {
        Parameter p = look.steps().get(step).kind().description().parameter(parameter);
        return look.withAmounts(
                step, lane, a -> a.with(parameter, set(a.value(parameter), frame, p.clamp(value))));
    }

    /** With two parameters, across and down, set to a place. */
    public static Look with(
            Look look, int step, int lane, long frame, String across, String down, Point2D to) {
        Look moved = with(look, step, lane, frame, across, to.getX());
        return with(moved, step, lane, frame, down, to.getY());
    }

    /** The place that two parameters of a lane tell, as seen at a frame. */
    public static Point2D place(Amounts amounts, long frame, String across, String down) {
        return new Point2D(amounts.value(across).at(frame), amounts.value(down).at(frame));
    }

    private static Value set(Value value, long frame, double to) {
        return value.at(frame) == to ? value : value.set(frame, to);
    }
}
