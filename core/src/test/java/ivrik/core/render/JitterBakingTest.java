package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Dial;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Rational;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Project;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;

/** Jitter is baked to keyframes and restored; single values have jitter too. */
class JitterBakingTest {
    private static final Value MOVING =
            new Value(
                    0, List.of(new Keyframe(0, -4, Ease.LINEAR), new Keyframe(30, 8, Ease.LINEAR)));
    private final Scene scene = new Scene(Frame.opaque(flat(), flat(), flat()));

    private static Plane flat() {
        return Plane.flat(8, 8, 0.5f);
    }

    private static double number(Project project, long frame, int channel, String name) {
        var layer = project.layers().getFirst();
        var look = layer.looks().getFirst();
        return Planner.planner(layer, look, new Planner(project).instant(layer, Rational.of(frame)))
                .settings(look.look().steps().getFirst(), channel)
                .number(name);
    }

    private static Look shaking(Jitter.Kind kind) {
        Jitter jitter = new Jitter(Value.of(5), 7, kind, 11, 2);
        Jitter down = new Jitter(Value.of(2), 19, kind, 3);
        return BuiltInLooks.named("neutral")
                .withSettings(
                        0, 0, a -> a.with("x", MOVING).withJitter(jitter).withJitter("y", down));
    }

    @ParameterizedTest
    @EnumSource
    void bakedJitterHasAKeyframePerFrameAndEqualPixels(Jitter.Kind kind) {
        Project project = scene.project(shaking(kind));
        Planner planner = new Planner(project);
        Look baked = JitterBaking.baked(project.layers().getFirst(), 0, "shift-1", 0, planner);
        Project keyframed = scene.project(baked);
        for (long n = 0; n < Scene.FRAMES; n++) {
            for (String name : List.of("x", "y")) {
                assertThat(number(keyframed, n, 0, name))
                        .isCloseTo(number(project, n, 0, name), within(1e-12));
            }
        }
        assertThat(baked.steps().getFirst().settings(0).value("x").keyframes())
                .hasSize(Scene.FRAMES);
        assertThat(baked.steps().getFirst().settings(0).jitter().isNone()).isTrue();
        assertThat(LookJson.read(LookJson.write(baked)).look()).isEqualTo(baked);
        Look back = baked.withSettings(0, 0, a -> a.restoredJitter());
        assertThat(back).isEqualTo(shaking(kind));
        assertThat(back.withSettings(0, 0, a -> a.restoredJitter())).isEqualTo(back);
    }

    @Test
    void aDialStillAddsToBakedJitter() {
        Dial shake =
                new Dial(
                        "shake",
                        "Shake",
                        "px",
                        0,
                        10,
                        0,
                        Value.of(3),
                        List.of(new Dial.Link(new OfChannel("shift-1", 0, OfChannel.JITTER), 1)));
        Look look = shaking(Jitter.Kind.SMOOTH);
        Project project = scene.project(look.withDials(ListEdits.plus(look.dials(), shake)));
        Planner planner = new Planner(project);
        Look baked = JitterBaking.baked(project.layers().getFirst(), 0, "shift-1", 0, planner);
        for (long n = 0; n < Scene.FRAMES; n++) {
            assertThat(number(scene.project(baked), n, 0, "x"))
                    .isCloseTo(number(project, n, 0, "x"), within(1e-12));
        }
    }

    @Test
    void aSingleValueHasJitter() {
        Jitter across = new Jitter(Value.of(5), 7, Jitter.Kind.STEPPED, 11);
        Look look =
                BuiltInLooks.named("neutral").withSettings(0, 1, a -> a.withJitter("x", across));
        Project project = scene.project(look);
        boolean moved = false;
        for (long n = 0; n < Scene.FRAMES; n++) {
            assertThat(number(project, n, 1, "y")).isZero();
            assertThat(number(project, n, 0, "x")).isZero();
            moved |= Math.abs(number(project, n, 1, "x")) > 1;
        }
        assertThat(moved).isTrue();
        OfChannel amount = new OfChannel("shift-1", 1, OfChannel.OWN_JITTER + "x");
        assertThat(amount.address(look.model())).isEqualTo("shift-1.green.jitter.x");
        assertThat(ivrik.core.look.Target.parse("shift-1.green.jitter.x", look.model()))
                .isEqualTo(amount);
        assertThat(ivrik.core.look.Targets.value(look, amount)).contains(Value.of(5));
        assertThat(
                        ivrik.core.look.Targets.with(look, amount, MOVING)
                                .steps()
                                .getFirst()
                                .settings(1))
                .extracting(a -> a.jitters().get("x").amount())
                .isEqualTo(MOVING);
    }
}
