package ivrik.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

import java.util.List;

class ValueTest {
    private final Value ramp =
            new Value(
                    7,
                    List.of(
                            new Keyframe(10, 0, Ease.LINEAR),
                            new Keyframe(20, 5, Ease.HOLD),
                            new Keyframe(30, -5, Ease.LINEAR)));

    @Test
    void withoutKeyframesAValueIsFixed() {
        assertThat(Value.of(3).at(99)).isEqualTo(3);
    }

    @Test
    void keyframesAreExactAndHeldOutside() {
        assertThat(ramp.at(0)).isZero();
        assertThat(ramp.at(10)).isZero();
        assertThat(ramp.at(15)).isEqualTo(2.5);
        assertThat(ramp.at(20)).isEqualTo(5);
        assertThat(ramp.at(29)).isEqualTo(5);
        assertThat(ramp.at(30)).isEqualTo(-5);
        assertThat(ramp.at(999)).isEqualTo(-5);
        assertThat(ramp.at(new Rational(25, 2))).isEqualTo(1.25);
    }

    @Test
    void anEaseFollowsItsBezierCurve() {
        // The curve (0,0) (0.25,0.1) (0.25,1) (1,1) at parameter 1/2 is (0.3125, 0.5375), by hand.
        assertThat(new Ease.Eased(0.25, 0.1, 0.25, 1).progress(0.3125))
                .isCloseTo(0.5375, within(1e-12));
        assertThat(Ease.SMOOTH.progress(0.5)).isCloseTo(0.5, within(1e-12));
        assertThat(Ease.SMOOTH.progress(0)).isZero();
        assertThat(Ease.SMOOTH.progress(1)).isEqualTo(1);
    }

    @Test
    void settingAValueAddsAKeyframeOrSetsTheFixedValue() {
        assertThat(Value.of(1).set(12, 4)).isEqualTo(Value.of(4));
        assertThat(ramp.set(15, 9).at(15)).isEqualTo(9);
        assertThat(ramp.set(25, 9).keyframeAt(25).orElseThrow().ease()).isEqualTo(Ease.HOLD);
        assertThat(ramp.without(20).at(20)).isEqualTo(-2.5);
    }

    @Test
    void doubleKeyframesAndNaNAreRefused() {
        assertThatThrownBy(
                        () ->
                                new Value(
                                        0,
                                        List.of(
                                                new Keyframe(1, 0, Ease.HOLD),
                                                new Keyframe(1, 2, Ease.HOLD))))
                .hasMessageContaining("frame 1");
        assertThatThrownBy(() -> Value.of(Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void fractionsAreExact() {
        assertThat(Rational.parse("30000/1001").times(Rational.of(1001)))
                .isEqualTo(Rational.of(30000));
        assertThat(Rational.parse("23.976")).isEqualTo(new Rational(2997, 125));
        assertThat(new Rational(-7, 2).floor()).isEqualTo(-4);
        assertThat(new Rational(1, 3).plus(new Rational(1, 6))).isEqualTo(new Rational(1, 2));
    }
}
