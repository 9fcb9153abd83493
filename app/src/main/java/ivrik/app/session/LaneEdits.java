package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Paint;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.Optional;

/** Reading and changing what the lanes of the selected look are at a frame. */
public final class LaneEdits {
    /** The whole picture, where it stands in the place of a lane. */
    public static final LaneKind PICTURE =
            new LaneKind(
                    "picture", "Picture", "P", LaneKind.Role.LIGHTNESS, Ink.WHITE, Paint.LIGHT);

    private LaneEdits() {}

    public static List<LaneKind> kinds(State state) {
        return state.look().map(l -> l.model().lanes()).orElse(List.of());
    }

    /** Those with a share in the selected treatment: the lanes, or the picture as one. */
    public static List<LaneKind> shares(State state) {
        return state.step().filter(Step::isWhole).isPresent() ? List.of(PICTURE) : kinds(state);
    }

    /** Which of {@link #shares} is being worked on. */
    public static int share(State state) {
        return Math.min(state.lane(), Math.max(0, shares(state).size() - 1));
    }

    /** Works on another of {@link #shares}; the picture as one is worked on anyway. */
    public static void select(Session session, int share) {
        if (shares(session.state()).size() > 1) {
            session.selectLane(share);
        }
    }

    /** The selected treatment, if there is one. */
    public static Optional<Treatment> treatment(State state) {
        return state.step().map(Step::kind);
    }

    /** Whether the selected treatment moves lanes to places. */
    public static boolean hasShift(State state) {
        return treatment(state).filter(t -> t.description().control() == Control.PAD).isPresent();
    }

    /** Each lane's own shift in the selected step, without dials and jitter. */
    public static List<Point2D> shifts(State state, long frame) {
        return state.step()
                .map(
                        step ->
                                step.lanes().stream()
                                        .map(amounts -> place(amounts, frame, "x", "y"))
                                        .toList())
                .orElse(List.of());
    }

    static Point2D shift(Look look, String step, int lane, long frame) {
        return place(amounts(look, step, lane), frame, "x", "y");
    }

    /** What a step of an id does to a lane. */
    public static Amounts amounts(Look look, String step, int lane) {
        return look.step(step).orElseThrow().amounts(lane);
    }

    /** With a parameter set as seen at a frame, within its range. */
    public static Look with(
            Look look, String step, int lane, long frame, String parameter, double value) {
        Parameter p = look.step(step).orElseThrow().kind().description().parameter(parameter);
        return look.withAmounts(
                step, lane, a -> a.with(parameter, set(a.value(parameter), frame, p.clamp(value))));
    }

    /** With two parameters, across and down, set to a place. */
    public static Look with(
            Look look, String step, int lane, long frame, String across, String down, Point2D to) {
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
