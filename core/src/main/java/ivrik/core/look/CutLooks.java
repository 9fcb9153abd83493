package ivrik.core.look;

import static ivrik.core.look.TimedLooks.dial;
import static ivrik.core.look.TimedLooks.ofChannels;

import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Phase;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Built-in transitions that separate the channels between two shots. */
final class CutLooks {
    private static final String APART = "apart";
    private static final double FAR_PX = 8000;

    /** Frames in which the channels separate, and rejoin. */
    private static final int LONG = 8;

    private CutLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                                LookGroup.CUTS,
                                "Staggered cut",
                                staggeredCut(),
                                "transition",
                                "channels")
                        .example(Map.of("red", 6.0, "blue", -6.0)),
                BuiltInLook.of(LookGroup.CUTS, "Channel wipe", channelWipe(), "transition")
                        .example(Map.of("red", 8.0, "green", 14.0, "blue", 20.0)),
                BuiltInLook.of(LookGroup.CUTS, "Pull apart", pullApart(), "transition", "split")
                        .example(Map.of("distance", 260.0)));
    }

    /** Each channel cuts at its own frame. */
    private static Look staggeredCut() {
        return Look.atRest("staggered-cut", new Rgb())
                .withNote(
                        "Each channel cuts to the next shot some frames before or after the cut. A"
                                + " single clip does not change.")
                .withDials(
                        ofChannels(
                                ChannelSourceParameters.CUT,
                                " cut offset",
                                "frames",
                                Phase.MAX_FRAMES));
    }

    /** Each channel wipes at its own speed. */
    private static Look channelWipe() {
        return Look.atRest("channel-wipe", new Rgb())
                .withNote(
                        "Wipes each channel to the next shot at its own speed, starting at the cut."
                                + " A single clip does not change.")
                .withDials(
                        ListEdits.plus(
                                ofChannels(
                                        ChannelSourceParameters.WIPE,
                                        " wipe duration",
                                        "frames",
                                        Phase.MAX_FRAMES),
                                TimedLooks.towards()));
    }

    /** The channels separate, and rejoin in the next shot. */
    private static Look pullApart() {
        TransitionEnvelope away = new TransitionEnvelope(LONG, LONG, Ease.SMOOTH, true);
        List<Drive> drives =
                IntStream.range(0, 3)
                        .mapToObj(channel -> new Drive(new OfChannel("shift-1", channel, "x"), 1))
                        .toList();
        Burst apart =
                Burst.of(APART, new Anchor.AtFrame(0), 3)
                        .with(
                                b ->
                                        b.name("Pull apart")
                                                .envelope(away)
                                                .strength(Value.ZERO)
                                                .directions(
                                                        List.of(
                                                                Direction.AS_SET,
                                                                Direction.FIXED,
                                                                Direction.REVERSED))
                                                .drives(drives));
        Look look = Look.atRest("pull-apart", new Rgb(), new Shift());
        return look.withStep("shift-1", s -> s.withEdgeFill(EdgeFill.MIRROR))
                .withNote(
                        "Splits red and blue up to the cut; the next shot comes back into register"
                                + " after it.")
                .withBursts(List.of(apart))
                .withDials(
                        List.of(
                                ofBurst(
                                        "at",
                                        "Offset from anchor",
                                        "frame",
                                        0,
                                        0,
                                        BurstParameters.OFFSET),
                                dial(
                                        "length",
                                        "Length",
                                        "frames",
                                        0,
                                        Phase.MAX_FRAMES,
                                        2 * LONG,
                                        new Link(new OfBurst(APART, BurstParameters.BEFORE), 0.5),
                                        new Link(new OfBurst(APART, BurstParameters.AFTER), 0.5)),
                                dial(
                                        "distance",
                                        "Distance",
                                        "px",
                                        -FAR_PX,
                                        FAR_PX,
                                        0,
                                        new Link(new OfBurst(APART, BurstParameters.STRENGTH), 1)),
                                dial(
                                        "angle",
                                        "Angle",
                                        "degrees",
                                        -360,
                                        360,
                                        0,
                                        new Link(new OfBurst(APART, BurstParameters.ANGLE), 1))));
    }

    private static Dial ofBurst(
            String name, String title, String unit, double min, double rest, String part) {
        return dial(
                name,
                title,
                unit,
                min,
                Phase.MAX_FRAMES,
                rest,
                new Link(new OfBurst(APART, part), 1));
    }
}
