package ivrik.core.look;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.json.LookJson;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Instant;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.render.LookPlanner;

import org.junit.jupiter.api.Test;

import java.util.List;

/** A copied channel moves elsewhere as it did where it was copied. */
class ChannelCopyTest {
    private static final Value KEYFRAMED =
            new Value(
                    0, List.of(new Keyframe(0, 1, Ease.LINEAR), new Keyframe(40, 9, Ease.LINEAR)));

    /** Red shakes, has keyframes, and follows a dial. */
    private static final Look SHAKING = shaking();

    private static Look shaking() {
        Look split = BuiltInLooks.named("rgb-split");
        String step = split.steps().getFirst().id();
        Look look =
                split.withSettings(
                        step,
                        0,
                        a ->
                                a.with("x", KEYFRAMED)
                                        .withSeed(7)
                                        .withJitter(
                                                new Jitter(
                                                        Value.of(6), 9, Jitter.Kind.SMOOTH, 5, 2)));
        return DialEdits.with(look, "red-x", d -> d.withValue(Value.of(3)));
    }

    private static double x(Look look, int channel, long frame, String place) {
        Step step = look.steps().getFirst();
        Instant instant = Instant.of(frame, Rational.of(24));
        return new LookPlanner(look, instant, place).setting(step, channel, "x");
    }

    private static void movesAlike(Look pasted, int channel, String place) {
        for (long frame = 0; frame < 48; frame++) {
            assertThat(x(pasted, channel, frame, place))
                    .as("frame %d", frame)
                    .isEqualTo(x(SHAKING, 0, frame, "layer/look-1"));
        }
    }

    @Test
    void aChannelMovesAlikeInAnotherChannelAndOnAnotherLayer() {
        ChannelCopy copy = ChannelCopy.of(SHAKING, 0, "layer/look-1");
        Look rest = BuiltInLooks.named("rgb-split");
        Look elsewhere = rest.withDials(SHAKING.dials());
        movesAlike(copy.pastedInto(elsewhere, 0), 0, "other/look-2");
        movesAlike(copy.pastedInto(elsewhere, 2), 2, "other/look-2");
        movesAlike(copy.pastedInto(elsewhere, rest.steps().getFirst().id(), 1), 1, "third/look-1");
        movesAlike(copy.pastedInto(rest.withDials(List.of()), 2), 2, "fourth/look-1");
    }

    @Test
    void missingTreatmentsAreAddedAndOtherChannelsStay() {
        Look empty = Look.atRest("empty", SHAKING.model());
        ChannelCopy copy = ChannelCopy.of(SHAKING, 0, "layer/look-1");
        Look pasted = copy.pastedInto(empty, 1);
        movesAlike(pasted, 1, "other/look-2");
        assertThat(x(pasted, 0, 10, "other/look-2")).isZero();
        assertThat(copy.pastedInto(pasted, 1)).as("pasted twice").isEqualTo(pasted);
    }

    @Test
    void aTreatmentOfTheWholePictureIsPastedIntoItsCounterpart() {
        Look film = BuiltInLooks.named("film-print");
        Step whole = film.steps().stream().filter(Step::isWhole).findFirst().orElseThrow();
        String number = whole.settings(0).values().keySet().iterator().next();
        Look set = film.withSettings(whole.id(), 0, a -> a.with(number, Value.of(0.5)));
        ChannelCopy copy = ChannelCopy.of(set, 0, "layer/look-1");
        assertThat(copy.has(whole)).isTrue();
        Look pasted = copy.pastedInto(film, whole.id(), 2);
        assertThat(pasted.step(whole.id()).get().settings(0).value(number))
                .isEqualTo(Value.of(0.5));
    }

    @Test
    void aCopiedLookMovesAlikeOnAnotherLayerAndAfterSaving() {
        Look copied = ChannelCopy.withOrigins(SHAKING, "layer/look-1");
        movesAlike(copied, 0, "other/look-2");
        assertThat(LookJson.read(LookJson.write(copied)).look()).isEqualTo(copied);
        movesAlike(ChannelCopy.withOrigins(copied, "other/look-2"), 0, "third/look-1");
    }
}
