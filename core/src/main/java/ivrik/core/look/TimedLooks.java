package ivrik.core.look;

import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfOpacity;
import ivrik.core.look.Target.OfShutter;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Envelope;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Shift;
import ivrik.core.treatment.TiledScroll;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Built-in animated looks. */
final class TimedLooks {
    private static final int CHANNELS = 3;
    private static final double FAR_PX = 4000;
    private static final String SHIFT = "shift-1";
    private static final String SPLIT = "split";
    private static final String SHAKE = "shake";
    private static final String TRAVEL = "travel";

    /** Frames of a tile swipe. */
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
                        .example(Map.of("peak", 36.0, "shake", 5.0)),
                BuiltInLook.of(
                                LookGroup.CUTS,
                                "Tile swipe",
                                tileSwipe(),
                                "whip",
                                "slide",
                                "travel",
                                "transition")
                        .example(Map.of("tiles", 2.0, "split", 40.0, "shutter", 180.0)),
                BuiltInLook.of(
                                LookGroup.TIME,
                                "Channel delay",
                                channelDelay(),
                                "delay",
                                "echo",
                                "behind")
                        .example(Map.of("red", 3.0, "blue", -3.0)),
                BuiltInLook.of(
                                LookGroup.TIME,
                                "Slit scan",
                                slitScan(),
                                "slit scan",
                                "time displacement")
                        .example(Map.of("red", 16.0, "blue", -16.0)));
    }

    static Dial dial(
            String name,
            String title,
            String unit,
            double min,
            double max,
            double rest,
            Link... links) {
        return DialLinks.dial(name, title, unit, min, max, rest, rest, List.of(links));
    }

    /** Drives one number of several bursts. */
    private static Link[] ofBursts(String part, double perUnit, String... bursts) {
        return Stream.of(bursts)
                .map(b -> new Link(new OfBurst(b, part), perUnit))
                .toArray(Link[]::new);
    }

    private static List<Drive> drives(String step, String parameter) {
        return IntStream.range(0, CHANNELS)
                .mapToObj(channel -> new Drive(new OfChannel(step, channel, parameter), 1))
                .toList();
    }

    private static Burst burst(
            String id,
            String name,
            Envelope envelope,
            List<Direction> directions,
            List<Drive> drives) {
        return Burst.of(id, new Anchor.AtFrame(0), CHANNELS)
                .with(
                        b ->
                                b.name(name)
                                        .envelope(envelope)
                                        .strength(Value.ZERO)
                                        .directions(directions)
                                        .drives(drives));
    }

    /** Red and blue separate in steps around a frame, and rejoin. */
    private static Look burstSplit() {
        String[] both = {SPLIT, SHAKE};
        PeakEnvelope even = PeakEnvelope.even(6, 3);
        Envelope steps = even.withOut(Optional.of(even.down()));
        Jitter jitter = Jitter.NONE.withFrequencyHz(24).withKind(Jitter.Kind.STEPPED);
        Look look = Look.atRest("burst-split", new Rgb(), new Shift());
        for (int channel = 0; channel < CHANNELS; channel++) {
            look = look.withSettings(SHIFT, channel, a -> a.withJitter(jitter));
        }
        double most = Phase.MAX_FRAMES;
        return look.withNote(
                        "Splits red and blue around an anchor frame in phases and brings them back;"
                                + " green is fixed.")
                .withBursts(
                        List.of(
                                burst(
                                        SPLIT,
                                        "Split",
                                        steps,
                                        List.of(
                                                Direction.AS_SET,
                                                Direction.FIXED,
                                                Direction.REVERSED),
                                        drives(SHIFT, "x")),
                                burst(
                                        SHAKE,
                                        "Jitter",
                                        steps,
                                        List.of(
                                                Direction.AS_SET,
                                                Direction.FIXED,
                                                Direction.AS_SET),
                                        drives(SHIFT, OfChannel.JITTER))))
                .withDials(
                        List.of(
                                dial(
                                        "at",
                                        "Offset from anchor",
                                        "frame",
                                        0,
                                        most,
                                        0,
                                        ofBursts(BurstParameters.OFFSET, 1, both)),
                                dial(
                                        "before",
                                        "Frames before",
                                        "frames",
                                        0,
                                        most,
                                        6,
                                        ofBursts(BurstParameters.BEFORE, 1, both)),
                                dial(
                                        "after",
                                        "Frames after",
                                        "frames",
                                        0,
                                        most,
                                        6,
                                        ofBursts(BurstParameters.AFTER, 1, both)),
                                dial(
                                        "phases",
                                        "Phases",
                                        "",
                                        0,
                                        PeakEnvelope.MAX_PHASES,
                                        3,
                                        ofBursts(BurstParameters.PHASES, 1, both)),
                                dial(
                                        "peak",
                                        "Peak",
                                        "px",
                                        -FAR_PX,
                                        FAR_PX,
                                        0,
                                        ofBursts(BurstParameters.STRENGTH, 1, SPLIT)),
                                dial(
                                        "angle",
                                        "Angle",
                                        "degrees",
                                        -360,
                                        360,
                                        0,
                                        ofBursts(BurstParameters.ANGLE, 1, SPLIT)),
                                dial(
                                        "shake",
                                        "Jitter",
                                        "px",
                                        0,
                                        400,
                                        0,
                                        ofBursts(BurstParameters.STRENGTH, 1, SHAKE)),
                                dial(
                                        "repeat",
                                        "Repeat every",
                                        "frames",
                                        0,
                                        most,
                                        0,
                                        ofBursts(BurstParameters.REPEAT, 1, both))));
    }

    /** Moves over tiled copies of the picture; red and blue separate with the speed. */
    private static Look tileSwipe() {
        String[] both = {TRAVEL, SPLIT};
        double half = LONG / 2.0;
        Look look = Look.atRest("tile-swipe", new Rgb(), new TiledScroll(), new Shift());
        return look.withStep(SHIFT, s -> s.withEdgeFill(EdgeFill.WRAP))
                .withNote(
                        "Scrolls across tiled copies of the picture, fastest at the anchor frame,"
                                + " and ends in register; red and blue split on the way.")
                .withBursts(
                        List.of(
                                burst(
                                        TRAVEL,
                                        "Scroll",
                                        new TransitionEnvelope(half, half, Ease.SMOOTH, false),
                                        List.of(
                                                Direction.AS_SET,
                                                Direction.AS_SET,
                                                Direction.AS_SET),
                                        drives("tiled-scroll-1", "x")),
                                burst(
                                        SPLIT,
                                        "Split",
                                        new TransitionEnvelope(half, half, Ease.SMOOTH, true),
                                        List.of(
                                                Direction.AS_SET,
                                                Direction.FIXED,
                                                Direction.REVERSED),
                                        drives(SHIFT, "x"))))
                .withDials(
                        List.of(
                                dial(
                                        "at",
                                        "Offset from anchor",
                                        "frame",
                                        0,
                                        Phase.MAX_FRAMES,
                                        0,
                                        ofBursts(BurstParameters.OFFSET, 1, both)),
                                dial(
                                        "length",
                                        "Length",
                                        "frames",
                                        0,
                                        Phase.MAX_FRAMES,
                                        LONG,
                                        joined(
                                                ofBursts(BurstParameters.BEFORE, 0.5, both),
                                                ofBursts(BurstParameters.AFTER, 0.5, both))),
                                dial(
                                        "tiles",
                                        "Tiles",
                                        "tiles",
                                        -100,
                                        100,
                                        0,
                                        ofBursts(BurstParameters.STRENGTH, 1, TRAVEL)),
                                dial(
                                        "angle",
                                        "Angle",
                                        "degrees",
                                        -360,
                                        360,
                                        0,
                                        ofBursts(BurstParameters.ANGLE, 1, both)),
                                dial(
                                        "shutter",
                                        "Shutter",
                                        "degrees",
                                        0,
                                        Shutter.MAX_DEGREES,
                                        0,
                                        new Link(new OfShutter(), 1)),
                                dial(
                                        "split",
                                        "Peak split",
                                        "px",
                                        -FAR_PX,
                                        FAR_PX,
                                        0,
                                        ofBursts(BurstParameters.STRENGTH, 1, SPLIT))));
    }

    private static Link[] joined(Link[] some, Link[] more) {
        return Stream.of(some, more).flatMap(Stream::of).toArray(Link[]::new);
    }

    /** One dial per channel for a timing number. */
    static List<Dial> ofChannels(String part, String title, String unit, double most) {
        List<ChannelKind> channels = new Rgb().channels();
        return IntStream.range(0, CHANNELS)
                .mapToObj(
                        channel ->
                                dial(
                                        channels.get(channel).id(),
                                        channels.get(channel).title() + title,
                                        unit,
                                        -most,
                                        most,
                                        0,
                                        new Link(new OfChannelSource(channel, part), 1)))
                .toList();
    }

    /** One timing number of all channels. */
    static Link[] ofAllChannels(String part) {
        return IntStream.range(0, CHANNELS)
                .mapToObj(channel -> new Link(new OfChannelSource(channel, part), 1))
                .toArray(Link[]::new);
    }

    /** Dial for the direction of the far end. */
    static Dial towards() {
        return dial(
                "angle",
                "Angle",
                "degrees",
                -360,
                360,
                0,
                ofAllChannels(ChannelSourceParameters.ANGLE));
    }

    /** Delays each channel: moving parts separate into colours, still parts stay whole. */
    private static Look channelDelay() {
        Dial fade =
                dial("fade", "Mix with current frame", "", 0, 1, 0, new Link(new OfOpacity(), -1));
        return Look.atRest("channel-delay", new Rgb())
                .withNote(
                        "Delays each channel by its own number of frames, so that movement"
                                + " separates into colours.")
                .withDials(
                        ListEdits.plus(
                                ofChannels(
                                        ChannelSourceParameters.DELAY,
                                        " delay",
                                        "frames",
                                        ChannelSource.MAX_DELAY_FRAMES),
                                fade));
    }

    /** Delays each channel increasingly across the picture, each by its own amount. */
    private static Look slitScan() {
        return Look.atRest("slit-scan", new Rgb())
                .withNote(
                        "Slit scan: the delay of each channel grows across the picture, so that"
                                + " movement bends and separates into colours.")
                .withDials(
                        ListEdits.plus(
                                ofChannels(
                                        ChannelSourceParameters.SLIT,
                                        " delay at far edge",
                                        "frames",
                                        SlitScan.MAX_FRAMES),
                                towards()));
    }
}
