package ivrik.core.look;

import static ivrik.core.look.TimedLooks.dial;
import static ivrik.core.look.TimedLooks.ofLanes;

import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfLane;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Swipe;
import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/** Built-in looks that take one shot to the next by way of the channels. */
final class CutLooks {
    private static final String APART = "apart";
    private static final double FAR_PX = 8000;

    /** Frames that coming apart takes, and coming together. */
    private static final int LONG = 8;

    private CutLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(LookGroup.CUTS, "Lane cut", laneCut(), "transition", "channels")
                        .shown(Map.of("red", 6.0, "blue", -6.0)),
                BuiltInLook.of(LookGroup.CUTS, "Lane wipe", laneWipe(), "transition")
                        .shown(Map.of("red", 8.0, "green", 14.0, "blue", 20.0)),
                BuiltInLook.of(LookGroup.CUTS, "Pull apart", pullApart(), "transition", "split")
                        .shown(Map.of("distance", 260.0)));
    }

    /** Each lane at a cut of its own. */
    private static Look laneCut() {
        return Look.atRest("lane-cut", new Rgb())
                .withNote(
                        "Lets each lane go to the next shot some frames later, or sooner, than the"
                                + " cut; a clip by itself stays as it is.")
                .withDials(ofLanes(FeedParts.CUT, " cuts later", "frames", Phase.MOST_FRAMES));
    }

    /** Each lane at a speed of its own. */
    private static Look laneWipe() {
        return Look.atRest("lane-wipe", new Rgb())
                .withNote(
                        "Wipes each lane to the next shot from the cut on, at its own speed; a clip"
                                + " by itself stays as it is.")
                .withDials(
                        Lists.plus(
                                ofLanes(FeedParts.WIPE, " takes", "frames", Phase.MOST_FRAMES),
                                TimedLooks.towards()));
    }

    /** Lanes pulled apart until the next shot comes together. */
    private static Look pullApart() {
        Swipe away = new Swipe(LONG, LONG, Ease.SMOOTH, true);
        List<Drive> drives =
                IntStream.range(0, 3)
                        .mapToObj(lane -> new Drive(new OfLane("shift-1", lane, "x"), 1))
                        .toList();
        Burst apart =
                Burst.of(APART, new Anchor.AtFrame(0), 3)
                        .with(
                                b ->
                                        b.name("Apart")
                                                .course(away)
                                                .strength(Value.ZERO)
                                                .ways(List.of(Way.AHEAD, Way.STILL, Way.OPPOSED))
                                                .drives(drives));
        Look look = Look.atRest("pull-apart", new Rgb(), new Shift());
        return look.withStep("shift-1", s -> s.withEdgeFill(EdgeFill.MIRROR))
                .withNote(
                        "Pulls red and blue apart until the cut; the next shot comes together from"
                                + " there.")
                .withBursts(List.of(apart))
                .withDials(
                        List.of(
                                ofBurst(
                                        "at",
                                        "At, from its anchor",
                                        "frame",
                                        0,
                                        0,
                                        BurstParts.LATER),
                                dial(
                                        "length",
                                        "Length",
                                        "frames",
                                        0,
                                        Phase.MOST_FRAMES,
                                        2 * LONG,
                                        new Link(new OfBurst(APART, BurstParts.BEFORE), 0.5),
                                        new Link(new OfBurst(APART, BurstParts.AFTER), 0.5)),
                                dial(
                                        "distance",
                                        "Distance",
                                        "px",
                                        -FAR_PX,
                                        FAR_PX,
                                        0,
                                        new Link(new OfBurst(APART, BurstParts.STRENGTH), 1)),
                                dial(
                                        "angle",
                                        "Angle",
                                        "degrees",
                                        -360,
                                        360,
                                        0,
                                        new Link(new OfBurst(APART, BurstParts.ANGLE), 1))));
    }

    private static Dial ofBurst(
            String name, String title, String unit, double min, double rest, String part) {
        return dial(
                name,
                title,
                unit,
                min,
                Phase.MOST_FRAMES,
                rest,
                new Link(new OfBurst(APART, part), 1));
    }
}
