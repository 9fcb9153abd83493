package ivrik.app.session;

import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Paint;
import ivrik.core.treatment.Control;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;

import javafx.geometry.Point2D;

import java.util.List;
import java.util.Optional;

/** Reads and changes the channels of the selected look at a frame. */
public final class ChannelEdits {
    /** Stands for the whole picture where a channel is expected. */
    public static final ChannelKind PICTURE =
            new ChannelKind(
                    "picture", "Picture", "P", ChannelKind.Role.LIGHTNESS, Ink.WHITE, Paint.LIGHT);

    private ChannelEdits() {}

    public static List<ChannelKind> kinds(State state) {
        return state.look().map(l -> l.model().channels()).orElse(List.of());
    }

    /** Channels of the selected treatment, or the whole picture. */
    public static List<ChannelKind> shares(State state) {
        return state.step().filter(Step::isWhole).isPresent() ? List.of(PICTURE) : kinds(state);
    }

    /** Index of the selected one of {@link #shares}. */
    public static int share(State state) {
        return Math.min(state.channel(), Math.max(0, shares(state).size() - 1));
    }

    /** Selects one of {@link #shares}; has no effect for the whole picture. */
    public static void select(Session session, int share) {
        if (shares(session.state()).size() > 1) {
            session.selectChannel(share);
        }
    }

    /** The selected treatment, if there is one. */
    public static Optional<Treatment> treatment(State state) {
        return state.step().map(Step::kind);
    }

    /** Whether the selected treatment shifts channels. */
    public static boolean hasShift(State state) {
        return treatment(state).filter(t -> t.description().control() == Control.PAD).isPresent();
    }

    /** Each channel's own shift in the selected step, without dials and jitter. */
    public static List<Point2D> shifts(State state, long frame) {
        return state.step()
                .map(
                        step ->
                                step.channels().stream()
                                        .map(settings -> place(settings, frame, "x", "y"))
                                        .toList())
                .orElse(List.of());
    }

    static Point2D shift(Look look, String step, int channel, long frame) {
        return place(settings(look, step, channel), frame, "x", "y");
    }

    /** The settings of a step in a channel. */
    public static ChannelSettings settings(Look look, String step, int channel) {
        return look.step(step).orElseThrow().settings(channel);
    }

    /** The look with a parameter set at a frame, within its range. */
    public static Look with(
            Look look, String step, int channel, long frame, String parameter, double value) {
        Parameter p = look.step(step).orElseThrow().kind().description().parameter(parameter);
        return look.withSettings(
                step,
                channel,
                a -> a.with(parameter, set(a.value(parameter), frame, p.clamp(value))));
    }

    /** The look with an x/y pair of parameters set to a position. */
    public static Look with(
            Look look,
            String step,
            int channel,
            long frame,
            String across,
            String down,
            Point2D to) {
        Look moved = with(look, step, channel, frame, across, to.getX());
        return with(moved, step, channel, frame, down, to.getY());
    }

    /** The position of an x/y pair of parameters at a frame. */
    public static Point2D place(ChannelSettings settings, long frame, String across, String down) {
        return new Point2D(settings.value(across).at(frame), settings.value(down).at(frame));
    }

    private static Value set(Value value, long frame, double to) {
        return value.at(frame) == to ? value : value.set(frame, to);
    }
}
