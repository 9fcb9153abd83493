package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.IvrikException;
import ivrik.core.UnknownNameException;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.LookPlanner;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;

class LookTest {
    private final Look split = BuiltInLooks.named("rgb-split");

    @Test
    void builtInDialsKeepTheirNames() {
        assertThat(split.dials().stream().map(Dial::name))
                .containsExactly(
                        "red-x", "red-y", "green-x", "green-y", "blue-x", "blue-y", "shake",
                        "rate");
    }

    private static Settings settings(Look look, int channel, long frame) {
        return new LookPlanner(look, Instant.of(frame, Rational.of(24)), "")
                .settings(look.steps().getFirst(), channel);
    }

    @Test
    void aDialAddsToItsTargets() {
        Look set = split.withSettings(0, 2, a -> a.with("y", Value.of(10))).withDial("blue-y", -3);
        assertThat(settings(set, 2, 0).number("y")).isEqualTo(7);
    }

    @Test
    void aKeyframedDialMovesItsTargets() {
        Dial keyed =
                split.dial("red-x")
                        .withValue(
                                new Value(
                                        0,
                                        List.of(
                                                new Keyframe(0, 0, Ease.LINEAR),
                                                new Keyframe(10, 20, Ease.LINEAR))));
        Look look = split.withDials(ListEdits.with(split.dials(), 0, keyed));
        assertThat(settings(look, 0, 5).number("x")).isEqualTo(10);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "2, 0", "3, 1.5625", "4, 5", "5, 8.4375", "6, 10", "9, 10"})
    void aLinkWithAResponseAddsWithinItsRange(double at, double added) {
        // From 2 to 6 at 2.5 per unit: 10 in all; the smooth ease is 3 s^2 - 2 s^3.
        Dial.Response response = new Dial.Response(2, 6, Ease.SMOOTH);
        Dial.Link link = new Dial.Link(new Target.OfOpacity(), 2.5, null, response);
        assertThat(link.added(at, 0)).isCloseTo(added, within(1e-6));
    }

    @Test
    void unknownNamesAndValuesListTheChoices() {
        assertThatThrownBy(() -> BuiltInLooks.named("nope"))
                .isInstanceOf(UnknownNameException.class)
                .satisfies(
                        e ->
                                assertThat(((IvrikException) e).oneLine())
                                        .contains("neutral, rgb-split"));
        assertThatThrownBy(() -> BuiltInLooks.named("tape"))
                .isInstanceOf(UnknownNameException.class)
                .hasMessage("the look 'tape' is now named 'videotape'");
        assertThatThrownBy(() -> split.withDial("green-z", 1)).hasMessageContaining("green-z");
        assertThatThrownBy(() -> split.withDial("shake", -1))
                .isInstanceOf(DialRangeException.class);
    }

    @Test
    void clipsFindTheirSourceFrameAtAnotherRate() {
        Source film =
                new Source(
                        "f",
                        "f",
                        "f",
                        Source.Kind.MOVIE,
                        new ivrik.core.picture.Size(4, 4),
                        Rational.of(25),
                        50,
                        false);
        Clip clip = new Clip("f", 10, 30, 5);
        assertThat(clip.sourceFrame(10, film, Rational.of(50))).isEqualTo(5);
        assertThat(clip.sourceFrame(13, film, Rational.of(50))).isEqualTo(6);
        assertThat(clip.sourceFrame(39, film, Rational.of(10))).isEqualTo(49);
    }

    @Test
    void cutsAreBetweenShotsAndMarkersToggle() {
        Layer layer =
                Layer.of(
                        "l",
                        "l",
                        split,
                        new Clip("a", 0, 40, 0),
                        new Clip("b", 40, 20, 0),
                        new Clip("c", 70, 5, 0));
        Project project = Project.empty("p").withLayers(List.of(layer));
        assertThat(project.cuts()).containsExactly(40L);
        assertThat(project.frames()).isEqualTo(75);
        assertThat(layer.clipAt(65)).isEmpty();
        Project marked = project.toggleMarker(new Marker(30, "b")).toggleMarker(new Marker(3, "a"));
        assertThat(marked.markers().stream().map(Marker::frame)).containsExactly(3L, 30L);
        assertThat(marked.toggleMarker(new Marker(30, "")).markers()).hasSize(1);
        assertThat(FrameRange.parse("12-40")).isEqualTo(new FrameRange(12, 40));
        assertThat(FrameRange.parse("7")).isEqualTo(new FrameRange(7, 7));
    }

    private static List<String> driven(Look look, String dial) {
        return look.dial(dial).links().stream().map(l -> l.target().stepId()).distinct().toList();
    }

    @Test
    void dialsFollowTheirMovedSteps() {
        Look two =
                BuiltInLooks.named("chromatic-aberration")
                        .withStepAdded(0, Step.atRest("grain-1", new Grain(), 3));
        assertThat(two.steps().stream().map(Step::treatment))
                .containsExactly("grain", "lens-distortion", "zoom", "vignette");
        Look moved = two.withStepMoved("zoom-1", 0);
        assertThat(moved.steps().stream().map(Step::id))
                .containsExactly("zoom-1", "grain-1", "lens-distortion-1", "vignette-1");
        assertThat(driven(moved, "amount")).containsExactly("lens-distortion-1");
        assertThat(driven(moved, "smear")).containsExactly("zoom-1");
        assertThat(moved.withStepMoved("zoom-1", 2)).isEqualTo(two);
        Look without = two.withoutStep("lens-distortion-1");
        assertThat(driven(without, "amount")).isEmpty();
        assertThat(driven(without, "smear")).containsExactly("zoom-1");
        Look glow = BuiltInLooks.named("colour-streak");
        assertThat(glow.withoutStep(glow.steps().getFirst().id()).dial("hue").links()).hasSize(1);
    }

    @Test
    void newStepsGetUnusedIds() {
        Look one = BuiltInLooks.named("rgb-split");
        assertThat(one.freeId(new Shift())).isEqualTo("shift-2");
        assertThat(one.freeId(new Grain())).isEqualTo("grain-1");
        assertThatThrownBy(() -> one.withStepAdded(one.steps().getFirst()))
                .hasMessageContaining("one id");
    }
}
