package ivrik.core.motion;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Set;

class KeyframeEditsTest {
    private static final Keyframe A = new Keyframe(10, 1, new Ease.Eased(0.2, 0.1, 0.6, 1.2));
    private static final Keyframe B = new Keyframe(20, 5, Ease.HOLD);
    private static final Keyframe C = new Keyframe(40, -3, Ease.LINEAR);
    private static final Keyframe D = new Keyframe(50, 7, Ease.SMOOTH);
    private static final Value VALUE = new Value(0, List.of(A, B, C, D));

    @Test
    void selectedKeyframesMoveTogether() {
        assertThat(KeyframeEdits.moved(VALUE, Set.of(20L, 40L), 3, -2).orElseThrow().keyframes())
                .containsExactly(
                        A, new Keyframe(23, 3, Ease.HOLD), new Keyframe(43, -5, Ease.LINEAR), D);
    }

    @Test
    void movedKeyframesDoNotReplaceOthers() {
        assertThat(KeyframeEdits.moved(VALUE, Set.of(20L, 40L), 10, 0)).isEmpty();
        assertThat(KeyframeEdits.stretched(VALUE, Set.of(10L, 20L), 0, 10)).isEmpty();
        assertThat(KeyframeEdits.moved(VALUE, Set.of(20L, 40L), 20, 0)).isPresent();
    }

    @Test
    void stretchedKeyframesStayOnWholeFrames() {
        assertThat(
                        KeyframeEdits.stretched(VALUE, Set.of(10L, 20L, 40L), 0.5, 10)
                                .orElseThrow()
                                .keyframes())
                .extracting(Keyframe::frame)
                .containsExactly(10L, 15L, 25L, 50L);
        assertThat(
                        KeyframeEdits.stretched(VALUE, Set.of(40L, 50L), 1.5, 50)
                                .orElseThrow()
                                .keyframes())
                .extracting(Keyframe::frame)
                .containsExactly(10L, 20L, 35L, 50L);
    }

    @Property
    void reversedKeyframesPlayBackwards(@ForAll @IntRange(min = 0, max = 160) int quarters) {
        Value smooth =
                new Value(0, List.of(A, B.withEase(Ease.LINEAR), C.withEase(Ease.SMOOTH), D));
        Value turned = KeyframeEdits.reversed(smooth, Set.of(10L, 20L, 40L, 50L)).orElseThrow();
        Rational at = new Rational(40 + quarters, 4);
        Rational mirrored = Rational.of(60).plus(new Rational(-40 - quarters, 4));
        assertThat(turned.at(at)).isCloseTo(smooth.at(mirrored), within(1e-9));
        assertThat(
                        KeyframeEdits.reversed(turned, Set.of(10L, 20L, 40L, 50L))
                                .orElseThrow()
                                .keyframes())
                .extracting(Keyframe::frame, Keyframe::value)
                .containsExactlyElementsOf(
                        smooth.keyframes().stream()
                                .map(p -> org.assertj.core.groups.Tuple.tuple(p.frame(), p.value()))
                                .toList());
    }

    @Test
    void theLastDeletedKeyframeLeavesItsValue() {
        assertThat(KeyframeEdits.without(VALUE, Set.of(20L))).isEqualTo(VALUE.without(20));
        assertThat(KeyframeEdits.without(VALUE, Set.of(10L, 20L, 40L, 50L))).isEqualTo(Value.of(1));
    }

    @Test
    void pastedKeyframesReplaceThoseBelow() {
        List<Keyframe> copied = KeyframeEdits.copied(VALUE, Set.of(20L, 40L), 20);
        assertThat(KeyframeEdits.pasted(VALUE, copied, 30).keyframes())
                .containsExactly(
                        A, B, new Keyframe(30, 5, Ease.HOLD), C, new Keyframe(50, -3, Ease.LINEAR));
        assertThat(KeyframeEdits.pasted(Value.of(2), copied, 0).keyframes()).hasSize(2);
    }

    @Test
    void theEnclosedRangeMoves() {
        Value value =
                KeyframeEdits.enclosed(Value.of(4), 0, 8, 16)
                        .with(new Keyframe(12, 4, Ease.LINEAR));
        assertThat(value.at(7)).isZero();
        assertThat(value.at(10)).isEqualTo(2);
        assertThat(value.at(14)).isEqualTo(2);
        assertThat(value.at(16)).isZero();
        assertThat(value.at(99)).isZero();
    }

    @Test
    void severalAreEasedAtOnce() {
        assertThat(KeyframeEdits.eased(VALUE, Set.of(10L, 40L), Ease.HOLD).keyframes())
                .extracting(Keyframe::ease)
                .containsExactly(Ease.HOLD, Ease.HOLD, Ease.HOLD, Ease.SMOOTH);
    }
}
