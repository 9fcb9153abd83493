package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Burst;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ChannelSourceParameters;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.look.Overscan;
import ivrik.core.look.Placement;
import ivrik.core.look.Shutter;
import ivrik.core.look.SlitScan;
import ivrik.core.look.Target;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.PeakEnvelope;
import ivrik.core.motion.Phase;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Repeat;
import ivrik.core.motion.TransitionEnvelope;
import ivrik.core.motion.Value;
import ivrik.core.picture.Size;
import ivrik.core.project.Background;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Loudness;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Sequence;
import ivrik.core.project.Source;
import ivrik.core.project.Take;
import ivrik.core.project.Title;
import ivrik.core.rejoin.Blend;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Every feature of layers, channels and looks, written and read again. */
class WholeProjectTest {
    private static final Size SIZE = new Size(640, 360);
    private static final Value MOVING =
            new Value(
                    0.5,
                    List.of(new Keyframe(2, 0.25, Ease.SMOOTH), new Keyframe(9, 0.75, Ease.HOLD)));
    private static final Placement PLACED =
            new Placement(
                    Placement.Fit.ORIGINAL_SIZE,
                    MOVING,
                    Value.of(-7.5),
                    Value.of(1.25),
                    MOVING,
                    Value.of(12),
                    MOVING,
                    true,
                    false);

    private static Look look() {
        return Look.atRest("inks", Separations.named("cmyk:0.6"), new Shift())
                .withNote("with everything")
                .withRejoin(Rejoin.by(Blend.SOFT_LIGHT))
                .withOrder(List.of(3, 1, 0, 2))
                .withBlend(new LookBlend(Blend.DARKER_COLOR, MOVING))
                .withOverscan(new Overscan(Overscan.Kind.FIXED, 1.04))
                .withChannel(0, s -> s.withInk(Optional.of(Ink.parse("3366ff"))).withSolo(true))
                .withChannel(1, s -> s.withBlend(Optional.of(Blend.VIVID_LIGHT)).withFixed(true))
                .withChannel(2, s -> s.withStrength(MOVING).withMute(true))
                .withChannel(
                        3,
                        s ->
                                s.withChannelSource(
                                        new ChannelSource(
                                                "title",
                                                Value.of(-4).with(new Keyframe(3, 5, Ease.LINEAR)),
                                                EdgeFill.MIRROR,
                                                Value.of(2),
                                                new SlitScan(
                                                        SlitScan.By.PICTURE,
                                                        Value.of(30),
                                                        "title",
                                                        Value.of(12.5),
                                                        Value.of(-6)),
                                                Value.of(40),
                                                PLACED)))
                .withSettings(
                        "shift-1",
                        3,
                        a ->
                                a.withJitter(new Jitter(MOVING, 7.5, Jitter.Kind.STEPPED, -5, 3))
                                        .withJitter(
                                                "y", new Jitter(MOVING, 3, Jitter.Kind.SMOOTH, 8))
                                        .from(
                                                new ChannelSettings.RandomOrigin(
                                                        "l/look-1", "shift-3", 2)))
                .withSettings("shift-1", 2, a -> a.baked(Map.of("x", MOVING)))
                .withBursts(bursts())
                .withDials(List.of(bent()))
                .withShutter(new Shutter(MOVING, -90, 24));
    }

    private static Dial bent() {
        Dial.Link link =
                new Dial.Link(
                        new Target.OfChannelSource(1, ChannelSourceParameters.SLIT),
                        -2,
                        new Dial.Condition("other", 3),
                        new Dial.Response(-1, 4.5, new Ease.Eased(0.1, 0, 0.4, 1.5)));
        return new Dial("bent", "Bent", "px", -5, 10, 1, MOVING, List.of(link));
    }

    private static List<Burst> bursts() {
        Phase phase = new Phase(3, 0.4, Map.of(1, -0.2));
        List<Burst.Drive> drives =
                List.of(
                        new Burst.Drive(new Target.OfChannel("shift-1", 1, "x"), 4.5),
                        new Burst.Drive(
                                new Target.OfChannelSource(2, ChannelSourceParameters.WIPE), -2),
                        new Burst.Drive(new Target.OfOpacity(), -0.5));
        Burst peakEnvelope =
                new Burst(
                        "peak",
                        "A peak",
                        false,
                        new Anchor.AtMarkers(List.of("marker-1", "two")),
                        new PeakEnvelope(
                                List.of(phase),
                                2,
                                Optional.of(List.of(phase, new Phase(0, -1))),
                                true),
                        new Repeat(120, true, -3),
                        MOVING,
                        MOVING,
                        List.of(
                                Burst.Direction.RANDOM,
                                Burst.Direction.FIXED,
                                Burst.Direction.REVERSED,
                                Burst.Direction.AS_SET),
                        Long.MAX_VALUE,
                        drives,
                        true);
        return List.of(
                peakEnvelope,
                Burst.of("swipe", new Anchor.AtCut("clip-2"), 4)
                        .withEnvelope(new TransitionEnvelope(2.5, 3, Ease.HOLD, true)),
                Burst.of("frame", new Anchor.AtFrame(-7), 4));
    }

    static Project project() {
        Title words =
                new Title(
                        "two\n\"lines\"",
                        "Any Font",
                        300,
                        48.5,
                        -12,
                        Title.Align.RIGHT,
                        Ink.parse("ffeedd"));
        Layer layer =
                Layer.of(
                                "l",
                                "Layer one",
                                look(),
                                new Clip("", "title", 3, 20, 0, new Loudness(-4.5, true)),
                                new Clip(Clip.BELOW, 23, 9, 0))
                        .withPlacement(PLACED)
                        .withBlend(Blend.EXCLUSION)
                        .withOpacity(MOVING)
                        .withVisible(false)
                        .withTakes(
                                List.of(
                                        new Take(
                                                "take-4",
                                                "the \"cold\" one",
                                                true,
                                                List.of(new LayerLook("look-1", look(), true)))))
                        .withLooks(
                                List.of(
                                        new LayerLook("look-1", look(), false),
                                        new LayerLook(
                                                "look-7",
                                                BuiltInLooks.named("anaglyph").withDial("pair", 2),
                                                true,
                                                List.of("clip-2"))));
        return new Project(
                "Whole",
                new Sequence(
                        SIZE,
                        new Rational(25, 1),
                        Background.PAPER,
                        ivrik.core.colour.ColourSpace.DISPLAY_P3),
                List.of(
                        Source.of("title", words, SIZE),
                        Source.solid("solid", Ink.parse("102030"), SIZE)),
                List.of(layer),
                List.of(new Marker(4, "one"), new Marker("two", 8, "", Optional.of(Ink.CYAN))),
                Optional.empty());
    }

    @Test
    void theWholeProjectRoundTrips() {
        ProjectJson.Reading reading = ProjectJson.read(ProjectJson.write(project()));
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.project()).isEqualTo(project());
    }

    static Stream<Separation> models() {
        return Stream.concat(
                Separations.all().stream(),
                Stream.of(Separations.named("primaries:ff8020,20ff60,4040ff,linear")));
    }

    @ParameterizedTest
    @MethodSource("models")
    void aLookOfEveryModelRoundTrips(Separation model) {
        Look look = Look.atRest("m", model, new Shift());
        LookJson.Reading reading = LookJson.read(LookJson.write(look));
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.look()).isEqualTo(look);
    }

    @ParameterizedTest
    @EnumSource
    void everyBlendModeRoundTripsInEveryPlace(Blend blend) {
        Look look =
                BuiltInLooks.named("neutral")
                        .withRejoin(blend == Blend.NORMAL ? Rejoin.EXACT : Rejoin.by(blend))
                        .withBlend(new LookBlend(blend, Value.of(0.5)))
                        .withChannel(0, s -> s.withBlend(Optional.of(blend)));
        assertThat(LookJson.read(LookJson.write(look)).look()).isEqualTo(look);
    }

    @Test
    void aProjectWithoutLayerPositionsIsRead() {
        String old =
                """
                {
                  "format": "ivrik-project", "version": 1, "name": "Old",
                  "sequence": {"size": [64, 36], "rate": "24"},
                  "sources": [{"id": "a", "name": "a", "path": "a.png", "kind": "still",
                               "size": [64, 36], "rate": "24", "frames": 1, "sound": false}],
                  "layers": [{
                    "id": "l", "name": "l", "visible": true,
                    "clips": [{"source": "a", "start": 0, "length": 5, "in": 0}],
                    "look": {
                      "name": "split", "note": "", "separation": "rgb",
                      "lanes": [{"solo": false, "mute": true, "hold": false},
                                {"solo": false, "mute": false, "hold": true},
                                {"solo": true, "mute": false, "hold": false}],
                      "steps": [], "rejoin": "screen",
                      "onto": {"blend": "lighten", "amount": 0.5},
                      "dials": []
                    },
                    "blend": "add", "opacity": 1
                  }],
                  "markers": []
                }
                """;
        ProjectJson.Reading reading = ProjectJson.read(old);
        assertThat(reading.problems()).isEmpty();
        Layer layer = reading.project().layers().getFirst();
        assertThat(layer.placement()).isEqualTo(Placement.FITTED);
        assertThat(layer.looks()).hasSize(1);
        Look look = layer.look();
        assertThat(look.rejoin()).isEqualTo(Rejoin.by(Blend.SCREEN));
        assertThat(look.blend().mode()).isEqualTo(Blend.LIGHTEN);
        assertThat(look.order()).containsExactly(0, 1, 2);
        assertThat(look.overscan()).isEqualTo(Overscan.OFF);
        assertThat(look.channels())
                .containsExactly(
                        ChannelState.PLAIN.withMute(true),
                        ChannelState.PLAIN.withFixed(true),
                        ChannelState.PLAIN.withSolo(true));
        assertThat(reading.project().sequence().background()).isEqualTo(Background.TRANSPARENT);
    }

    @Test
    void aFaultInAChannelOrLookIsNamedAndLosesOnlyThatPart() {
        String text = ProjectJson.write(project());
        ProjectJson.Reading mode = ProjectJson.read(text.replace("vivid-light", "vivid-night"));
        assertThat(mode.problems()).isNotEmpty().allMatch(p -> p.contains("vivid-night"));
        assertThat(mode.project().layers()).hasSize(1);
        ProjectJson.Reading model = ProjectJson.read(text.replace("cmyk:0.6", "cmyk:lots"));
        assertThat(model.problems()).anyMatch(p -> p.contains("cmyk:lots"));
        ProjectJson.Reading order =
                ProjectJson.read(text.replaceFirst("\\[ 3, 1, 0, 2 ]", "[ 3, 3, 0, 2 ]"));
        assertThat(order.project().layers().getFirst().look().order()).hasSize(4);
        ProjectJson.Reading fit = ProjectJson.read(text.replace("\"exact\"", "\"exactly\""));
        assertThat(fit.problems()).isNotEmpty();
        assertThat(fit.project().name()).isEqualTo("Whole");
    }
}
