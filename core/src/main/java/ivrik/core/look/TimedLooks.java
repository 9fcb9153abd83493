package ivrik.core.look;

import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Burst.Way;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfOnto;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Course;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Hill;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Swipe;
import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;
import ivrik.core.treatment.Tiles;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Built-in looks that move in time. */
final class TimedLooks {
    private static final int LANES = 3;
    private static final double FAR_PX = 4000;
    private static final String SHIFT = "shift-1";
    private static final String SPLIT = "split";
    private static final String SHAKE = "shake";
    private static final String TRAVEL = "travel";

    /** Frames that a swipe takes. */
    private static final int LONG = 12;

    private TimedLooks() {}

    static List<BuiltInLook> all() {
        return List.of(
                BuiltInLook.of(
                                LookGroup.CUTS,
                                "Burst split",
                                burstSplit(),
                                "hit",
                                "shake",
                                "transition")
                        .shown(Map.of("peak", 36.0, "shake", 5.0)),
                BuiltInLook.of(
                                LookGroup.CUTS,
                                "Tile swipe",
                                tileSwipe(),
                                "whip",
                                "slide",
                                "travel",
                                "transition")
                        .shown(Map.of("tiles", 2.0, "split", 40.0, "shutter", 180.0)),
                BuiltInLook.of(LookGroup.TIME, "Lane lag", laneLag(), "delay", "echo", "behind")
                        .shown(Map.of("red", 3.0, "blue", -3.0)),
                BuiltInLook.of(
                                LookGroup.TIME,
                                "Slit time",
                                slitTime(),
                                "slit scan",
                                "time displacement")
                        .shown(Map.of("red", 16.0, "blue", -16.0)));
    }

    static Dial dial(
            String name,
            String title,
            String unit,
            double min,
            double max,
            double rest,
            Link... links) {
        return Links.dial(name, title, unit, min, max, rest, rest, List.of(links));
    }

    /** Drives one number of each of some bursts. */
    private static Link[] ofBursts(String part, double perUnit, String... bursts) {
        return Stream.of(bursts)
                .map(b -> new Link(new OfBurst(b, part), perUnit))
                .toArray(Link[]::new);
    }

    private static List<Drive> drives(String step, String parameter) {
        return IntStream.range(0, LANES)
                .mapToObj(lane -> new Drive(new OfLane(step, lane, parameter), 1))
                .toList();
    }

    private static Burst burst(
            String id, String name, Course course, List<Way> ways, List<Drive> drives) {
        return Burst.of(id, new Anchor.AtFrame(0), LANES)
                .with(
                        b ->
                                b.name(name)
                                        .course(course)
                                        .strength(Value.ZERO)
                                        .ways(ways)
                                        .drives(drives));
    }

    /** Red and blue part in steps about a frame, further in each, and come together again. */
    private static Look burstSplit() {
        String[] both = {SPLIT, SHAKE};
        Hill even = Hill.even(6, 3);
        Course steps = even.withOut(Optional.of(even.down()));
        Jitter jitter = Jitter.NONE.withFrequencyHz(24).withKind(Jitter.Kind.STEPPED);
        Look look = Look.atRest("burst-split", new Rgb(), new Shift());
        for (int lane = 0; lane < LANES; lane++) {
            look = look.withAmounts(SHIFT, lane, a -> a.withJitter(jitter));
        }
        double most = Phase.MOST_FRAMES;
        return look.withNote(
                        "Parts red and blue about a frame, phase by phase, and brings them together"
                                + " again; green is held.")
                .withBursts(
                        List.of(
                                burst(
                                        SPLIT,
                                        "Split",
                                        steps,
                                        List.of(Way.AHEAD, Way.STILL, Way.OPPOSED),
                                        drives(SHIFT, "x")),
                                burst(
                                        SHAKE,
                                        "Shake",
                                        steps,
                                        List.of(Way.AHEAD, Way.STILL, Way.AHEAD),
                                        drives(SHIFT, OfLane.JITTER))))
                .withDials(
                        List.of(
                                dial(
                                        "at",
                                        "At, from its anchor",
                                        "frame",
                                        0,
                                        most,
                                        0,
                                        ofBursts(BurstParts.LATER, 1, both)),
                                dial(
                                        "before",
                                        "Frames before",
                                        "frames",
                                        0,
                                        most,
                                        6,
                                        ofBursts(BurstParts.BEFORE, 1, both)),
                                dial(
                                        "after",
                                        "Frames after",
                                        "frames",
                                        0,
                                        most,
                                        6,
                                        ofBursts(BurstParts.AFTER, 1, both)),
                                dial(
                                        "phases",
                                        "Phases",
                                        "",
                                        0,
                                        Hill.MOST_PHASES,
                                        3,
                                        ofBursts(BurstParts.PHASES, 1, both)),
                                dial(
                                        "peak",
                                        "Peak",
                                        "px",
                                        -FAR_PX,
                                        FAR_PX,
                                        0,
                                        ofBursts(BurstParts.STRENGTH, 1, SPLIT)),
                                dial(
                                        "angle",
                                        "Angle",
                                        "degrees",
                                        -360,
                                        360,
                                        0,
                                        ofBursts(BurstParts.ANGLE, 1, SPLIT)),
                                dial(
                                        "shake",
                                        "Shake",
                                        "px",
                                        0,
                                        400,
                                        0,
                                        ofBursts(BurstParts.STRENGTH, 1, SHAKE)),
                                dial(
                                        "repeat",
                                        "Again every",
                                        "frames",
                                        0,
                                        most,
                                        0,
                                        ofBursts(BurstParts.REPEAT, 1, both))));
    }

    /** Over copies of the picture laid edge to edge, red and blue apart while it is fast. */
    private static Look tileSwipe() {
        String[] both = {TRAVEL, SPLIT};
        double half = LONG / 2.0;
        Look look = Look.atRest("tile-swipe", new Rgb(), new Tiles(), new Shift());
        return look.withStep(SHIFT, s -> s.withEdgeFill(EdgeFill.WRAP))
                .withNote(
                        "Travels from copy to copy of the picture about a frame, fastest there, and"
                                + " arrives in register; red and blue part on the way.")
                .withBursts(
                        List.of(
                                burst(
                                        TRAVEL,
                                        "Travel",
                                        new Swipe(half, half, Ease.SMOOTH, false),
                                        List.of(Way.AHEAD, Way.AHEAD, Way.AHEAD),
                                        drives("tiles-1", "x")),
                                burst(
                                        SPLIT,
                                        "Split",
                                        new Swipe(half, half, Ease.SMOOTH, true),
                                        List.of(Way.AHEAD, Way.STILL, Way.OPPOSED),
                                        drives(SHIFT, "x"))))
                .withDials(
                        List.of(
                                dial(
                                        "at",
                                        "At, from its anchor",
                                        "frame",
                                        0,
                                        Phase.MOST_FRAMES,
                                        0,
                                        ofBursts(BurstParts.LATER, 1, both)),
                                dial(
                                        "length",
                                        "Length",
                                        "frames",
                                        0,
                                        Phase.MOST_FRAMES,
                                        LONG,
                                        joined(
                                                ofBursts(BurstParts.BEFORE, 0.5, both),
                                                ofBursts(BurstParts.AFTER, 0.5, both))),
                                dial(
                                        "tiles",
                                        "Tiles",
                                        "tiles",
                                        -100,
                                        100,
                                        0,
                                        ofBursts(BurstParts.STRENGTH, 1, TRAVEL)),
                                dial(
                                        "angle",
                                        "Angle",
                                        "degrees",
                                        -360,
                                        360,
                                        0,
                                        ofBursts(BurstParts.ANGLE, 1, both)),
                                dial(
                                        "shutter",
                                        "Shutter",
                                        "degrees",
                                        0,
                                        Shutter.MOST_DEGREES,
                                        0,
                                        new Link(new OfShutter(), 1)),
                                dial(
                                        "split",
                                        "Split at the fastest",
                                        "px",
                                        -FAR_PX,
                                        FAR_PX,
                                        0,
                                        ofBursts(BurstParts.STRENGTH, 1, SPLIT))));
    }

    private static Link[] joined(Link[] some, Link[] more) {
        return Stream.of(some, more).flatMap(Stream::of).toArray(Link[]::new);
    }

    /** A dial for each lane that drives one number of its time. */
    static List<Dial> ofLanes(String part, String title, String unit, double most) {
        List<LaneKind> lanes = new Rgb().lanes();
        return IntStream.range(0, LANES)
                .mapToObj(
                        lane ->
                                dial(
                                        lanes.get(lane).id(),
                                        lanes.get(lane).title() + title,
                                        unit,
                                        -most,
                                        most,
                                        0,
                                        new Link(new OfFeed(lane, part), 1)))
                .toList();
    }

    /** One number of the time of all lanes. */
    static Link[] ofAllLanes(String part) {
        return IntStream.range(0, LANES)
                .mapToObj(lane -> new Link(new OfFeed(lane, part), 1))
                .toArray(Link[]::new);
    }

    /** Which way the far end lies. */
    static Dial towards() {
        return dial("angle", "Angle", "degrees", -360, 360, 0, ofAllLanes(FeedParts.ANGLE));
    }

    /** Each lane at its own time: what moves parts into colours, what stands still stays whole. */
    private static Look laneLag() {
        Dial fade = dial("fade", "Fade to now", "", 0, 1, 0, new Link(new OfOnto(), -1));
        return Look.atRest("lane-lag", new Rgb())
                .withNote(
                        "Shows each lane as it was some frames ago, so that what moves parts into"
                                + " colours.")
                .withDials(
                        Lists.plus(
                                ofLanes(
                                        FeedParts.DELAY,
                                        " behind",
                                        "frames",
                                        Feed.MOST_DELAY_FRAMES),
                                fade));
    }

    /** Each lane later and later across the picture, by its own amount. */
    private static Look slitTime() {
        return Look.atRest("slit-time", new Rgb())
                .withNote(
                        "Shows each lane later and later across the picture: what moves bends, and"
                                + " parts into colours.")
                .withDials(
                        Lists.plus(
                                ofLanes(
                                        FeedParts.SLIT,
                                        " behind at the far end",
                                        "frames",
                                        Slit.MOST_FRAMES),
                                towards()));
    }
}
