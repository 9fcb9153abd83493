package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Pictured;
import ivrik.core.json.LookJson;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.DialEdits;
import ivrik.core.look.HalationParts;
import ivrik.core.look.Look;
import ivrik.core.look.Overscan;
import ivrik.core.look.Section;
import ivrik.core.look.Shutter;
import ivrik.core.look.Step;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.separation.Rgb;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.GaussianBlur;
import ivrik.core.treatment.Halation;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;

/** Halation split into its component steps gives the same picture. */
class HalationPartsTest {
    private static final Workers WORKERS = Workers.shared();
    private static final String ID = "halation-1";

    /** The steps pass floats of linear light on; the tolerance is a third of a 16-bit code. */
    private static final double SAME = 5e-6;

    private static Look shown() {
        return BuiltInLooks.shelf().stream()
                .filter(b -> b.look().name().equals("halation"))
                .findFirst()
                .orElseThrow()
                .withExampleSettings();
    }

    private static Frame picture() {
        return Frame.opaque(
                Pictured.smooth(96, 54, 0.3),
                Pictured.noise(96, 54, 5),
                Pictured.smooth(96, 54, 2));
    }

    private static Frame done(List<Look> looks, long frame) {
        Scene scene = new Scene(picture());
        Project project = scene.project(looks.getFirst());
        List<LayerLook> all = new ArrayList<>();
        for (int i = 0; i < looks.size(); i++) {
            all.add(new LayerLook("look-" + (i + 1), looks.get(i), true));
        }
        Project stacked =
                project.withLayer(project.layers().getFirst().id(), l -> l.withLooks(all));
        return scene.renderer(WORKERS).render(Planner.plan(stacked, frame), 1, Cancellation.NEVER);
    }

    private static double apart(Frame a, Frame b) {
        double worst = 0;
        for (int c = 0; c < 3; c++) {
            float[] of = a.colour().get(c).data();
            float[] other = b.colour().get(c).data();
            for (int i = 0; i < of.length; i++) {
                worst = Math.max(worst, Math.abs(of[i] - other[i]));
            }
        }
        return worst;
    }

    @Test
    void theSplitLookEqualsTheWholeLook() {
        Look look = shown().withDial("keep-energy", 1).withDial("tail", 0.3);
        List<Look> parts = HalationParts.opened(look, ID).looks();
        assertThat(parts).as("no other entry").hasSize(1);
        assertThat(apart(done(List.of(look), 3), done(parts, 3))).isLessThan(SAME);
        assertThat(apart(done(List.of(look), 3), picture())).isGreaterThan(0.01);
        assertThat(parts.getFirst().steps())
                .extracting(Step::treatment)
                .containsExactly("linear-light", "bright-pass", "bloom", "linear-light");
        assertThat(LookJson.read(LookJson.write(parts.getFirst())).look())
                .isEqualTo(parts.getFirst());
    }

    @Test
    void keyframesOfItsStrengthMoveTheParts() {
        Value rising =
                Value.ZERO
                        .with(new Keyframe(0, 0, Ease.LINEAR))
                        .with(new Keyframe(10, 200, Ease.LINEAR));
        Look look =
                Look.atRest("one", new Rgb(), new Halation())
                        .withSettings(ID, 0, a -> a.with("strength", rising));
        List<Look> parts = HalationParts.opened(look, ID).looks();
        for (long frame : new long[] {2, 9}) {
            assertThat(apart(done(List.of(look), frame), done(parts, frame))).isLessThan(SAME);
        }
    }

    @Test
    void aDialThatMovesItMovesTheParts() {
        Value rising =
                Value.ZERO
                        .with(new Keyframe(0, 0, Ease.LINEAR))
                        .with(new Keyframe(10, 2, Ease.LINEAR));
        Look look = DialEdits.with(shown(), "strength", d -> d.withValue(rising));
        List<Look> parts = HalationParts.opened(look, ID).looks();
        assertThat(apart(done(List.of(look), 2), done(List.of(look), 9))).isGreaterThan(0.01);
        for (long frame : new long[] {2, 9}) {
            assertThat(apart(done(List.of(look), frame), done(parts, frame))).isLessThan(SAME);
        }
    }

    @Test
    void shutterAndOverscanAreKept() {
        Value rising =
                Value.ZERO
                        .with(new Keyframe(0, 0, Ease.LINEAR))
                        .with(new Keyframe(4, 400, Ease.LINEAR));
        Look open =
                Look.atRest("one", new Rgb(), new Halation())
                        .withSettings(ID, 0, a -> a.with("strength", rising))
                        .withShutter(Shutter.OFF.withAngleDegrees(Value.of(360)).withSamples(4));
        Look large =
                Look.atRest("large", new Rgb(), new Halation())
                        .withSettings(ID, 0, a -> a.with("strength", Value.of(150)))
                        .withOverscan(new Overscan(Overscan.Kind.FIXED, 1.5));
        for (Look look : List.of(open, large)) {
            List<Look> parts = HalationParts.opened(look, ID).looks();
            assertThat(apart(done(List.of(look), 1), done(parts, 1)))
                    .as(look.name())
                    .isLessThan(SAME);
        }
    }

    @Test
    void otherTreatmentsKeepTheirOrder() {
        Look last =
                Look.atRest("two", new Rgb(), new GaussianBlur(), new Halation())
                        .withSettings("gaussian-1", 0, a -> a.with("radius", Value.of(6)))
                        .withSettings(ID, 0, a -> a.with("strength", Value.of(150)));
        Look first = last.withStepIn(Section.PREPARE, ID, 0);
        for (Look look : List.of(last, first)) {
            List<Look> opened = HalationParts.opened(look, ID).looks();
            assertThat(opened).hasSize(2);
            assertThat(apart(done(List.of(look), 0), done(opened, 0))).isLessThan(SAME);
        }
        assertThat(apart(done(List.of(first), 0), done(List.of(last), 0)))
                .as("the picture is not flat")
                .isGreaterThan(0.001);
    }

    @Test
    void halationBetweenTreatmentsStaysWhole() {
        Look look = Look.atRest("three", new Rgb(), new Halation(), new Halation(), new Halation());
        assertThat(HalationParts.canOpen(look, "halation-2")).isFalse();
        assertThat(HalationParts.canOpen(look, "halation-3")).isTrue();
    }
}
