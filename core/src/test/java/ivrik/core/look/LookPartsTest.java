package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.look.LookParts.Part;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Grain;
import ivrik.core.treatment.Saturation;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;

/** Treatments, movement, finish and dials of one look copied into another. */
class LookPartsTest {
    private static final Value MOVING = Value.of(2).with(new Keyframe(4, 9, Ease.LINEAR));

    /** A moving shift, a blur and a finish; one dial drives the blur, one the finish. */
    private static Look from() {
        Look look =
                Look.atRest(
                                "from",
                                Separations.named("rgb"),
                                new Grain(),
                                new Shift(),
                                new GaussianBlur(),
                                new Saturation())
                        .withSettings(
                                "shift-1", 0, a -> a.with("x", MOVING).with("y", Value.of(5)));
        Look split = BuiltInLooks.named("burst-split");
        return look.withDials(
                        List.of(
                                dial("soft", new Target.OfChannel("gaussian-1", 1, "radius")),
                                dial("pale", new Target.OfStep("saturation-1", "saturation"))))
                .withBursts(
                        List.of(
                                split.bursts()
                                        .getFirst()
                                        .withDrives(
                                                List.of(
                                                        new Burst.Drive(
                                                                new Target.OfChannel(
                                                                        "shift-1", 2, "x"),
                                                                7)))));
    }

    private static Dial dial(String name, Target target) {
        return new Dial(name, name, "", 0, 100, 0, Value.ZERO, List.of(new Dial.Link(target, 1)));
    }

    /** Begins with another shift, in four inks. */
    private static Look inks() {
        return Look.atRest("inks", Separations.named("cmyk"), new Shift(), new Saturation());
    }

    private static Look rgb() {
        return Look.atRest(
                "target", Separations.named("rgb"), new Shift(), new Shift(), new Saturation());
    }

    private static List<String> treatments(Look look) {
        return look.steps().stream().map(Step::treatment).toList();
    }

    @Test
    void treatmentsAreCopiedWithTheirChannels() {
        Look blend =
                inks().withDials(
                                List.of(
                                        dial("black", new Target.OfChannel("shift-1", 3, "x")),
                                        dial(
                                                "pale",
                                                new Target.OfStep("saturation-1", "saturation"))));
        Look pasted = LookParts.pasted(blend, from(), Part.TREATMENTS);
        assertThat(pasted.separation()).isEqualTo("rgb");
        assertThat(treatments(pasted)).containsExactly("grain", "shift", "gaussian", "saturation");
        assertThat(pasted.step("shift-1")).isEqualTo(from().step("shift-1"));
        assertThat(pasted.dial("pale").links()).hasSize(1);
        assertThat(pasted.dial("black").links()).as("the targets are gone").isEmpty();
    }

    @Test
    void theFinishIsCopiedUnderNewIds() {
        Look blend = Look.atRest("target", Separations.named("rgb"), new Grain());
        Look grainy =
                Look.atRest("g", Separations.named("rgb"), new Grain())
                        .withStepIn(Section.FINISH, "grain-1", 0);
        Look pasted = LookParts.pasted(blend, grainy, Part.FINISH);
        assertThat(pasted.steps()).extracting(Step::id).containsExactly("grain-1", "grain-2");
        assertThat(pasted.steps())
                .extracting(Step::section)
                .containsExactly(Section.CHANNELS, Section.FINISH);
        assertThat(LookParts.pasted(rgb(), grainy, Part.FINISH).step("saturation-1")).isEmpty();
    }

    @Test
    void movementIsPastedToEqualStepsAndLeavesFixedValues() {
        Look blend = rgb().withSettings("shift-1", 0, a -> a.with("y", Value.of(-3)));
        Look pasted = LookParts.pasted(blend, from(), Part.MOVEMENT);
        assertThat(treatments(pasted)).isEqualTo(treatments(blend));
        ChannelSettings red = pasted.step("shift-1").orElseThrow().channels().getFirst();
        assertThat(red.value("x")).isEqualTo(MOVING);
        assertThat(red.value("y")).isEqualTo(Value.of(-3));
        assertThat(pasted.bursts().getFirst().drives()).hasSize(1);
        assertThat(LookParts.pasted(inks(), from(), Part.MOVEMENT).bursts().getFirst().drives())
                .as("a shift of four channels is different")
                .isEmpty();
    }

    @Test
    void onlyDialsWithTargetsAreCopied() {
        assertThat(LookParts.pasted(rgb(), from(), Part.DIALS).dials())
                .extracting(Dial::name)
                .containsExactly("pale");
    }

    @ParameterizedTest
    @EnumSource
    void aPartOfItselfChangesNothing(Part part) {
        Look pasted = LookParts.pasted(from(), from(), part);
        assertThat(pasted.steps()).containsExactlyElementsOf(from().steps());
        assertThat(pasted).isEqualTo(from());
    }

    @Test
    void pastedDialsAreAtRest() {
        Value moving = Value.of(0).with(new Keyframe(3, 5, Ease.LINEAR));
        Look from =
                from().withDials(from().dials().stream().map(d -> d.withValue(moving)).toList());
        assertThat(LookParts.pasted(inks(), from, Part.DIALS).dials())
                .isNotEmpty()
                .allMatch(d -> d.value().equals(Value.of(d.rest())));
    }
}
