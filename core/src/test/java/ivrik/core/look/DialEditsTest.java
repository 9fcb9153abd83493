package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.render.LookPlanner;

import org.junit.jupiter.api.Test;

import java.util.List;

/** Values assigned to dials and removed from them leave the picture unchanged. */
class DialEditsTest {
    private static final Target RED = new OfChannel("shift-1", 0, "x");
    private static final Target GREEN = new OfChannel("shift-1", 1, "x");
    private static final Target BLUE = new OfChannel("shift-1", 2, "x");
    private final Look look =
            BuiltInLooks.named("neutral")
                    .withSettings("shift-1", 0, a -> a.with("x", Value.of(12)))
                    .withSettings("shift-1", 2, a -> a.with("x", Value.of(-6)));

    private static double x(Look look, int channel) {
        return x(look, channel, 0);
    }

    private static double x(Look look, int channel, long frame) {
        return new LookPlanner(look, Instant.of(frame, Rational.of(24)), "")
                .settings(look.steps().getFirst(), channel)
                .number("x");
    }

    @Test
    void aNewDialTakesTheCurrentValuesAndScalesThem() {
        Look dialled = DialEdits.onNew(look, List.of(RED, GREEN, BLUE), "Split across");
        Dial dial = dialled.dial("split-across");
        assertThat(dial.unit()).isEqualTo("%");
        assertThat(Targets.value(dialled, RED)).contains(Value.ZERO);
        assertThat(List.of(x(dialled, 0), x(dialled, 1), x(dialled, 2)))
                .containsExactly(12.0, 0.0, -6.0);
        Look half = dialled.withDial("split-across", 50);
        assertThat(List.of(x(half, 0), x(half, 1), x(half, 2))).containsExactly(6.0, 0.0, -3.0);
        assertThat(x(dialled.withDial("split-across", 0), 0)).isZero();
    }

    @Test
    void aDialOfValuesAtRestHasTheirUnit() {
        Look dialled = DialEdits.onNew(look, List.of(GREEN), "Green");
        Dial dial = dialled.dial("green");
        assertThat(dial.unit()).isEqualTo("px");
        assertThat(dial.value()).isEqualTo(Value.ZERO);
        assertThat(x(dialled.withDial("green", -7), 1)).isEqualTo(-7);
    }

    @Test
    void aDialTakesFurtherTargets() {
        Look one = DialEdits.onNew(look, List.of(RED), "Split");
        Look two = DialEdits.driving(one, "split", List.of(BLUE, RED));
        assertThat(two.dial("split").links()).hasSize(2);
        assertThat(x(two, 2)).isEqualTo(-6);
        assertThat(x(two.withDial("split", 200), 2)).isEqualTo(-12);
        assertThat(DialEdits.of(two, BLUE)).extracting(Dial::name).containsExactly("split");
    }

    @Test
    void keyframesStayAndTheDialAdds() {
        Value moving = new Value(0, List.of(new Keyframe(0, 3, Ease.LINEAR)));
        Look keyframed = Targets.with(look, GREEN, moving);
        Look dialled = DialEdits.onNew(keyframed, List.of(GREEN), "Green").withDial("green", 5);
        assertThat(Targets.value(dialled, GREEN)).contains(moving);
        assertThat(x(dialled, 1)).isEqualTo(8);
    }

    @Test
    void aRemovedTargetKeepsItsResult() {
        Look dialled = DialEdits.onNew(look, List.of(RED, BLUE), "Split").withDial("split", 50);
        Look off = DialEdits.off(dialled, "split", RED);
        assertThat(Targets.value(off, RED)).contains(Value.of(6));
        assertThat(off.dial("split").links()).hasSize(1);
        Look without = DialEdits.without(dialled, "split");
        assertThat(without.dials()).isEmpty();
        assertThat(Targets.value(without, BLUE)).contains(Value.of(-3));
    }

    @Test
    void aTargetRemovedFromAKeyframedDialKeepsMoving() {
        Value rising =
                new Value(
                        0,
                        List.of(new Keyframe(0, 0, Ease.SMOOTH), new Keyframe(8, 100, Ease.HOLD)));
        Value moving =
                new Value(
                        0,
                        List.of(new Keyframe(2, 1, Ease.LINEAR), new Keyframe(6, 9, Ease.LINEAR)));
        Look still = DialEdits.onNew(look, List.of(RED), "Split");
        Look both = Targets.with(still, RED, moving);
        for (Look driven : List.of(still, both)) {
            Look before = DialEdits.with(driven, "split", d -> d.withValue(rising));
            Look off = DialEdits.without(before, "split");
            assertThat(off.dials()).isEmpty();
            for (long frame : new long[] {0, 2, 6, 8, 20}) {
                assertThat(x(off, 0, frame)).as("at %s", frame).isEqualTo(x(before, 0, frame));
            }
        }
        Look alone = DialEdits.with(still, "split", d -> d.withValue(rising));
        assertThat(x(DialEdits.without(alone, "split"), 0, 5))
                .as("also between the keyframes")
                .isEqualTo(x(alone, 0, 5))
                .isNotEqualTo(x(alone, 0, 0));
    }

    @Test
    void anInactiveLinkAddsNothingWhenRemoved() {
        Look two =
                DialEdits.onNew(
                        DialEdits.onNew(look, List.of(RED), "Split"), List.of(GREEN), "Way");
        Look chosen =
                DialEdits.with(
                        two,
                        "split",
                        d ->
                                d.withLinks(
                                        List.of(
                                                new Dial.Link(
                                                        RED, 0.12, new Dial.Condition("way", 1)))));
        assertThat(x(chosen, 0)).as("way is 0").isZero();
        assertThat(x(DialEdits.without(chosen, "split"), 0)).isZero();
        Look other = chosen.withDial("way", 1);
        assertThat(x(other, 0)).isEqualTo(12);
        assertThat(x(DialEdits.without(other, "split"), 0)).isEqualTo(12);
    }

    @Test
    void dialNamesAreValidAndUnique() {
        Look two =
                DialEdits.onNew(
                        DialEdits.onNew(look, List.of(RED), "Red: x!"), List.of(BLUE), "Red - x");
        assertThat(two.dials()).extracting(Dial::name).containsExactly("red-x", "red-x-2");
    }

    @Test
    void aLinkHasResponseAndWeight() {
        Look dialled = DialEdits.onNew(look, List.of(GREEN), "Green").withDial("green", 10);
        Look weighed = DialEdits.withLink(dialled, "green", GREEN, l -> l.withPerUnit(-0.5));
        assertThat(x(weighed, 1)).isEqualTo(-5);
        Dial.Response late = new Dial.Response(8, 12, Ease.LINEAR);
        Look bent = DialEdits.withLink(weighed, "green", GREEN, l -> l.withResponse(late));
        assertThat(x(bent, 1)).isEqualTo(-1);
    }
}
