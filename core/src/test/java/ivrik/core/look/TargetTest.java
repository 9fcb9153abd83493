package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.UnknownNameException;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Value;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Exposure;
import ivrik.core.treatment.PinWarp;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Map;

class TargetTest {
    private final Look look =
            Look.atRest("l", new Rgb(), new Shift(), new PinWarp(), new Exposure())
                    .withSettings(
                            "pin-warp-1", 1, a -> a.withItem(PinWarp.SERIES, Map.of("x", 5.0)))
                    .withBurst(Burst.of("b", new Anchor.AtFrame(9), 3));

    @ParameterizedTest
    @ValueSource(
            strings = {
                "shift-1.red.x",
                "shift-1.blue.jitter",
                "pin-warp-1.green.pin.0.x",
                "exposure-1.stops",
                "mask.low",
                "mask.falloff",
                "blend.opacity",
                "channel.green.strength",
                "shutter.angle",
                "burst.b.strength",
                "burst.b.angle"
            })
    void anAddressReadsAndSetsItsValue(String address) {
        Target target = Target.parse(address, look.model());
        assertThat(target.address(look.model())).isEqualTo(address);
        assertThat(Targets.exists(look, target)).isTrue();
        assertThat(Targets.range(look, target)).isPresent();
        Look changed = Targets.with(look, target, Value.of(0.25));
        assertThat(Targets.value(changed, target)).contains(Value.of(0.25));
        assertThat(Targets.with(changed, target, Targets.value(look, target).orElseThrow()))
                .isEqualTo(look);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "channel.red.delay",
                "burst.b.offset",
                "burst.b.before",
                "burst.b.after",
                "burst.b.repeat"
            })
    void countsAreRoundedToIntegers(String address) {
        Target target = Target.parse(address, look.model());
        assertThat(target.address(look.model())).isEqualTo(address);
        assertThat(Targets.range(look, target)).isPresent();
        Look changed = Targets.with(look, target, Value.of(12));
        assertThat(Targets.value(changed, target)).contains(Value.of(12));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "burst.c.offset",
                "burst.b.size",
                "burst.b",
                "shift-2.red.x",
                "shift-1.red.radius",
                "exposure-1.red.stops",
                "shift-1.x",
                "pin-warp-1.red.pin.0.x",
                "mask.width-of"
            })
    void aTargetMustExistInTheLook(String address) {
        assertThat(Targets.exists(look, Target.parse(address, look.model()))).isFalse();
    }

    @Test
    void invalidAddressesAreReported() {
        assertThatThrownBy(() -> Target.parse("x", look.model()))
                .hasMessageContaining("is not an address");
        assertThatThrownBy(() -> Target.parse("shift-1.cyan.x", look.model()))
                .isInstanceOf(UnknownNameException.class);
    }

    @Test
    void targetsFollowTheirSteps() {
        Target target = Target.parse("exposure-1.stops", look.model());
        Look set = Targets.with(look, target, Value.of(2));
        Look moved = set.withStep("exposure-1", s -> s.withSection(Section.PREPARE));
        assertThat(moved.number("exposure-1")).isZero();
        assertThat(Targets.value(moved, target)).contains(Value.of(2));
        assertThat(Targets.value(moved.withoutStep("shift-1"), target)).contains(Value.of(2));
        assertThat(Targets.exists(moved.withoutStep("exposure-1"), target)).isFalse();
    }
}
