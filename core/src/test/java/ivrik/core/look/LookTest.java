package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.IvrikException;
import ivrik.core.UnknownNameException;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.Marker;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Grain;

import org.junit.jupiter.api.Test;

import java.util.List;

class LookTest {
    private final Look split = BuiltInLooks.named("rgb-split");

    @Test
    void theBuiltInDialsAreThoseOfTheContract() {
        assertThat(split.dials().stream().map(Dial::name))
                .containsExactly(
                        "red-x", "red-y", "green-x", "green-y", "blue-x", "blue-y", "shake",
                        "rate");
    }

    @Test
    void aDialAddsItsShareToWhatItDrives() {
        Look set = split.withAmounts(0, 2, a -> a.with("y", Value.of(10))).withDial("blue-y", -3);
        assertThat(Planner.settings(set, 0, 2, Rational.ZERO, Rational.of(24)).number("y"))
                .isEqualTo(7);
    }

    @Test
    void aKeyedDialMovesWhatItDrives() {
        Dial keyed =
                split.dial("red-x")
                        .withValue(
                                new Value(
                                        0,
                                        List.of(
                                                new Peg(0, 0, Ease.LINEAR),
                                                new Peg(10, 20, Ease.LINEAR))));
        Look look = split.withDials(Lists.with(split.dials(), 0, keyed));
        assertThat(Planner.settings(look, 0, 0, Rational.of(5), Rational.of(24)).number("x"))
                .isEqualTo(10);
    }

    @Test
    void unknownNamesAndValuesOutOfRangeSayWhatThereIs() {
        assertThatThrownBy(() -> BuiltInLooks.named("nope"))
                .isInstanceOf(UnknownNameException.class)
                .satisfies(
                        e ->
                                assertThat(((IvrikException) e).oneLine())
                                        .contains("in-register, rgb-split"));
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
    void cutsLieWhereShotsMeetAndMarkersToggle() {
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

    @Test
    void dialsFollowTheirStepsWhereverTheyGo() {
        Look two = BuiltInLooks.named("lens-fringe").withStepAdded(0, Step.atRest(new Grain(), 3));
        assertThat(two.steps().stream().map(Step::treatment))
                .containsExactly("grain", "lens", "zoom");
        assertThat(two.dial("amount").links()).allMatch(l -> l.step() == 1);
        assertThat(two.dial("smear").links()).allMatch(l -> l.step() == 2);
        Look moved = two.withStepMoved(2, 0);
        assertThat(moved.steps().stream().map(Step::treatment))
                .containsExactly("zoom", "grain", "lens");
        assertThat(moved.dial("amount").links()).allMatch(l -> l.step() == 2);
        assertThat(moved.dial("smear").links()).allMatch(l -> l.step() == 0);
        assertThat(moved.withStepMoved(0, 2)).isEqualTo(two);
        Look without = two.withoutStep(1);
        assertThat(without.dial("amount").links()).isEmpty();
        assertThat(without.dial("smear").links()).allMatch(l -> l.step() == 1);
        Look glow = BuiltInLooks.named("glow-one-colour").withoutStep(0);
        assertThat(glow.dial("hue").links()).hasSize(1);
    }
}
