package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.Look;
import ivrik.core.look.Mask;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfDial;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Targets;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.treatment.Exposure;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Parameter;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.stream.Stream;

/** Every number that a dial can be assigned to is driven by it. */
class DialTargetsTest {
    private static final long FRAME = 5;
    private static final Scene SCENE =
            new Scene(
                    Frame.opaque(
                            Pictured.noise(16, 10, 1),
                            Pictured.noise(16, 10, 2),
                            Pictured.noise(16, 10, 3)));

    /** Moves, a blur and an exposure at half their amount, and every part of the mask on. */
    private static Look look() {
        Value moving =
                Value.ZERO
                        .with(new Keyframe(0, 0, Ease.LINEAR))
                        .with(new Keyframe(10, 20, Ease.LINEAR));
        Look look =
                BuiltInLooks.named("neutral")
                        .withStepAdded(Step.withExampleSettings("blur", new GaussianBlur(), 3))
                        .withStepAdded(Step.withExampleSettings("stops", new Exposure(), 3));
        for (Step step : look.steps()) {
            for (int channel = 0; channel < step.channels().size(); channel++) {
                look = look.withSettings(step.id(), channel, a -> a.with("amount", Value.of(50)));
            }
        }
        for (int channel = 0; channel < 3; channel++) {
            look = look.withSettings("shift-1", channel, a -> a.with("x", moving));
        }
        look = look.withSettings("blur", 1, a -> a.with("across", Value.of(50)));
        Mask mask = look.mask();
        for (Mask.Part part : Mask.PARTS) {
            mask = mask.turnedOn(part.name());
        }
        return look.withMask(mask);
    }

    static Stream<Target> all() {
        Look look = look();
        Stream<Target> own =
                look.steps().stream()
                        .flatMap(
                                step ->
                                        step.kind().description().parameters().stream()
                                                .map(Parameter::name)
                                                .map(n -> OfChannel.OWN_JITTER + n)
                                                .map(
                                                        n ->
                                                                step.isWhole()
                                                                        ? new OfStep(step.id(), n)
                                                                        : new OfChannel(
                                                                                step.id(), 1, n)));
        return Stream.concat(Targets.keyed(look).stream(), own)
                .filter(t -> !(t instanceof OfDial) && !isConditional(t));
    }

    /** Jitter of all moves needs a treatment that moves; some times need a cut or a slit scan. */
    private static boolean isConditional(Target target) {
        return switch (target) {
            case OfChannel t -> t.parameter().equals(OfChannel.JITTER) && t.step().equals("blur");
            case OfStep t -> t.parameter().equals(OfChannel.JITTER);
            case OfChannelSource t -> t.part().equals("cut-offset") || t.part().equals("angle");
            default -> false;
        };
    }

    private static Plan plan(Target target, double value) {
        Dial dial =
                new Dial(
                        "all",
                        "All",
                        "",
                        -1,
                        1,
                        0,
                        Value.of(value),
                        List.of(new Dial.Link(target, by(target))));
        return Planner.plan(SCENE.project(look().withDials(List.of(dial))), FRAME);
    }

    /** A step within the range of the target that changes its value. */
    private static double by(Target target) {
        Parameter range = Targets.range(look(), target).orElseThrow();
        double now = Targets.value(look(), target).orElseThrow().rest();
        double by = Math.min(3, (range.max() - range.min()) / 3);
        double most = range.isFullAtRest() ? Math.max(range.rest(), now) : range.max();
        return now + by <= most ? by : -by;
    }

    @ParameterizedTest
    @MethodSource("all")
    void aDialDrivesItsTarget(Target target) {
        assertThat(Targets.exists(look(), target)).isTrue();
        assertThat(plan(target, 1)).isNotEqualTo(plan(target, 0));
    }
}
