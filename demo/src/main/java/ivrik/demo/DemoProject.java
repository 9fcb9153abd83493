package ivrik.demo;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Burst;
import ivrik.core.look.Burst.Direction;
import ivrik.core.look.Burst.Drive;
import ivrik.core.look.BurstParameters;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.Dial;
import ivrik.core.look.Dial.Link;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Placement;
import ivrik.core.look.Target.OfBurst;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Shift;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The demo project: three shots, a burst around one cut, a swipe across the other, a title and spans.
 */
final class DemoProject {
    private static final Size SIZE = new Size(Scene.WIDTH, Scene.HEIGHT);
    private static final Title CAPTION =
            Title.EMPTY.withText("Night tram, line 7").withSizePx(34).withTracking(60);
    private static final Rational RATE = Rational.of(Scene.RATE);

    private static final double PEAK_PX = 15;
    private static final int CHANNELS = 3;

    /** The cut from the tram to the lanterns. */
    private static final Anchor CUT = new Anchor.AtCut("clip-2");

    /** Frame at which the tram returns. */
    private static final long BACK = 2 * Scene.FRAMES;

    /** Frames of the returning tram. */
    private static final int AGAIN = 48;

    private DemoProject() {}

    static Project project() {
        Layer shots =
                Layer.of(
                        "shots",
                        "shots",
                        shotsLook(),
                        new Clip("tram", 0, Scene.FRAMES, 0),
                        new Clip("lanterns", Scene.FRAMES, Scene.FRAMES, 0),
                        new Clip("tram", BACK, AGAIN, AGAIN));
        shots =
                shots.withLooks(
                        List.of(
                                new LayerLook("look-1", shotsLook(), true),
                                new LayerLook("look-2", inkLook(), true),
                                new LayerLook("look-3", swipeLook(), true)));
        Layer title = Layer.of("title", "title", titleLook(), new Clip("title", 24, 144, 0));
        Layer caption =
                Layer.of("caption", "caption", captionLook(), new Clip("caption", 4, 68, 0))
                        .withPlacement(Placement.FITTED.withY(Value.of(322)));
        Layer grain =
                Layer.of("grain", "grain", grainLook(), new Clip(Clip.BELOW, BACK - 24, 72, 0));
        return new Project(
                "Lantern Week",
                new Sequence(SIZE, RATE),
                List.of(
                        movie("tram"),
                        movie("lanterns"),
                        still("title", "media/title.svg", Source.Kind.VECTOR),
                        still("register chart", "media/register-chart.png", Source.Kind.STILL),
                        Source.of("caption", CAPTION, SIZE)),
                List.of(
                        shots,
                        span("halation", "halation", Scene.FRAMES, 64),
                        title,
                        caption,
                        grain,
                        span("tape", "videotape", BACK + 4, 20),
                        span("tube", "crt", BACK + 28, 20)),
                List.of(new Marker(48, "bell")),
                Optional.empty());
    }

    /** A look over all layers below for some frames. Random numbers depend on the id. */
    private static Layer span(String id, String look, long from, long frames) {
        return Layer.of(id, look, BuiltInLooks.named(look), new Clip(Clip.BELOW, from, frames, 0));
    }

    private static Source movie(String name) {
        return new Source(
                name,
                name,
                "media/" + name + ".webm",
                Source.Kind.MOVIE,
                SIZE,
                RATE,
                Scene.FRAMES,
                true);
    }

    private static Source still(String name, String path, Source.Kind kind) {
        return new Source(name, name, path, kind, SIZE, RATE, 1, false);
    }

    /**
     * Red and blue move apart around green: slowly at first, in steps up to the cut, and back; each channel
     * has its own cut.
     */
    private static Look shotsLook() {
        return BuiltInLooks.named("neutral")
                .withName("Night drift")
                .withTitle("")
                .withNote("Red and blue separate towards the cut and return.")
                .withSettings(
                        0,
                        0,
                        a ->
                                a.with("x", Value.of(1))
                                        .with("y", Value.of(-1))
                                        .withJitter(jitter(Value.ZERO)))
                .withSettings(
                        0,
                        2,
                        a ->
                                a.with("x", Value.of(-1))
                                        .with("y", Value.of(1))
                                        .withJitter(jitter(Value.ZERO)))
                .withBursts(List.of(separating(), shaking()))
                .withDials(List.of(split()))
                .withChannel(1, channel -> channel.withFixed(true))
                .withChannel(
                        0,
                        channel ->
                                channel.withChannelSource(
                                        ChannelSource.LAYER_PICTURE.withCutFrames(Value.of(-2))))
                .withChannel(
                        2,
                        channel ->
                                channel.withChannelSource(
                                        ChannelSource.LAYER_PICTURE.withCutFrames(Value.of(2))))
                .withOverscan(new Overscan(Overscan.Kind.AUTOMATIC, 1));
    }

    /** The distance at the cut. */
    private static Dial split() {
        return new Dial(
                "split",
                "Split at the cut",
                "%",
                0,
                200,
                100,
                Value.of(100),
                List.of(new Link(new OfBurst("parting", BurstParameters.STRENGTH), 0.01)));
    }

    /**
     * From the lanterns to the tram over tiled copies, with red and blue apart while it is fast.
     */
    private static Look swipeLook() {
        Look swipe =
                BuiltInLooks.named("tile-swipe")
                        .withDial("tiles", 1)
                        .withDial("shutter", 180)
                        .withDial("split", 18);
        return swipe.withName("Tram swipe")
                .withTitle("")
                .withBursts(
                        swipe.bursts().stream()
                                .map(b -> b.withAnchor(new Anchor.AtCut("clip-3")))
                                .toList());
    }

    /** Light grain over the end, independent per channel. */
    private static Look grainLook() {
        Look look = Look.atRest("Evening grain", Separations.named("rgb"), new Grain());
        for (int channel = 0; channel < CHANNELS; channel++) {
            look = look.withSettings(0, channel, a -> a.with("strength", Value.of(5)));
        }
        return look;
    }

    /** Red and blue move in growing steps up to the cut, and back. */
    private static Burst separating() {
        List<Phase> rising = new ArrayList<>();
        for (double px : new double[] {1, 3, 6, 10}) {
            rising.add(new Phase(4, px / PEAK_PX));
        }
        return Burst.of("parting", CUT, CHANNELS)
                .with(
                        b ->
                                b.name("Split at the cut")
                                        .envelope(
                                                new PeakEnvelope(
                                                        rising, 3, Optional.empty(), false))
                                        .directions(
                                                List.of(
                                                        Direction.AS_SET,
                                                        Direction.FIXED,
                                                        Direction.REVERSED))
                                        .drives(
                                                List.of(
                                                        drive(0, "x", PEAK_PX),
                                                        drive(2, "x", PEAK_PX))));
    }

    /** A shake that grows towards the cut. */
    private static Burst shaking() {
        return Burst.of("shaking", CUT, CHANNELS)
                .with(
                        b ->
                                b.name("Jitter at the cut")
                                        .envelope(
                                                new PeakEnvelope(
                                                        List.of(new Phase(12, 0.9)),
                                                        1,
                                                        Optional.empty(),
                                                        true))
                                        .drives(
                                                List.of(
                                                        drive(0, OfChannel.JITTER, 6),
                                                        drive(2, OfChannel.JITTER, 6))));
    }

    private static Drive drive(int channel, String parameter, double factor) {
        return new Drive(new OfChannel("shift-1", channel, parameter), factor);
    }

    /** The second shot as a print: magenta and yellow settle into register after the cut. */
    private static Look inkLook() {
        return Look.atRest("Settling inks", Separations.named("cmyk"), new Shift())
                .withNote("Magenta and yellow settle on cyan and key after the cut.")
                .withSettings(0, 1, a -> a.with("x", settling(-6)).with("y", settling(3)))
                .withSettings(0, 2, a -> a.with("x", settling(5)).with("y", settling(-4)));
    }

    private static Value settling(double from) {
        return new Value(
                0,
                List.of(
                        new Keyframe(Scene.FRAMES - 1, 0, Ease.HOLD),
                        new Keyframe(Scene.FRAMES, from, Ease.SMOOTH),
                        new Keyframe(Scene.FRAMES + 60, 0, Ease.HOLD)));
    }

    /** A typed title in three ink colours that move apart. */
    private static Look captionLook() {
        Value away =
                new Value(
                        0,
                        List.of(
                                new Keyframe(4, 18, Ease.SMOOTH),
                                new Keyframe(16, 0, Ease.HOLD),
                                new Keyframe(58, 0, Ease.SMOOTH),
                                new Keyframe(71, 16, Ease.HOLD)));
        return Look.atRest(
                        "Three lights",
                        Separations.named("primaries:ff5a28,28c878,4638ff"),
                        new Shift())
                .withSettings(0, 0, a -> a.with("x", away))
                .withSettings(0, 2, a -> a.with("x", away.map(v -> -v)));
    }

    private static Jitter jitter(Value amount) {
        return new Jitter(amount, 12, Jitter.Kind.SMOOTH, 4);
    }

    private static Look titleLook() {
        Value red =
                new Value(
                        0,
                        List.of(
                                new Keyframe(24, 26, Ease.SMOOTH),
                                new Keyframe(44, 3, Ease.SMOOTH),
                                new Keyframe(150, 3, Ease.SMOOTH),
                                new Keyframe(167, 30, Ease.HOLD)));
        Value blue =
                new Value(
                        0,
                        List.of(
                                new Keyframe(24, -26, Ease.SMOOTH),
                                new Keyframe(44, -3, Ease.SMOOTH),
                                new Keyframe(150, -3, Ease.SMOOTH),
                                new Keyframe(167, -30, Ease.HOLD)));
        return BuiltInLooks.named("neutral")
                .withName("Title drift")
                .withTitle("")
                .withSettings(0, 0, a -> a.with("x", red))
                .withSettings(0, 2, a -> a.with("x", blue));
    }
}
