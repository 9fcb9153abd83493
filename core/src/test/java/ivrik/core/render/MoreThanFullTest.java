package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.look.Look;
import ivrik.core.look.LookBlend;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Gain;
import ivrik.core.treatment.Shift;

import org.junit.jupiter.api.Test;

/** Amounts and opacities above 100 % exaggerate what 100 % does. */
class MoreThanFullTest {
    private static Plane ramp() {
        Plane plane = Plane.of(40, 4);
        for (int i = 0; i < plane.data().length; i++) {
            plane.data()[i] = (i % 40) / 60f;
        }
        return plane;
    }

    private static Frame render(Frame picture, Look look) {
        Scene scene = new Scene(picture);
        return scene.render(scene.project(look), 0);
    }

    private static Look gain(double amount, double opacity, Blend blend) {
        return Look.atRest("gain", new Rgb(), new Gain())
                .withSettings(
                        0, 0, a -> a.with("gain", Value.of(130)).with("amount", Value.of(amount)))
                .withBlend(new LookBlend(blend, Value.of(opacity)));
    }

    private static float[] red(Look look) {
        return render(Frame.opaque(ramp(), ramp(), ramp()), look).colour().getFirst().data();
    }

    private static void exaggerates(Look full, Look more, double by) {
        float[] source = ramp().data();
        float[] once = red(full);
        float[] now = red(more);
        assertThat(once[30]).isNotEqualTo(source[30]);
        for (int i = 0; i < source.length; i++) {
            assertThat((double) now[i])
                    .isCloseTo(source[i] + by * (once[i] - source[i]), within(2e-6));
        }
    }

    @Test
    void aLookOverlaidAt150PerCentChangesColoursByHalfMore() {
        for (Blend blend : new Blend[] {Blend.NORMAL, Blend.named("overlay")}) {
            exaggerates(gain(100, 1, blend), gain(100, 1.5, blend), 1.5);
        }
    }

    @Test
    void aTreatmentAt200PerCentChangesTwiceAsMuch() {
        exaggerates(gain(100, 1, Blend.NORMAL), gain(200, 1, Blend.NORMAL), 2);
    }

    @Test
    void coverageStaysWithinItsRange() {
        Plane edge = Plane.of(40, 4);
        for (int i = 0; i < edge.data().length; i++) {
            edge.data()[i] = i % 40 < 20 ? 1 : 0;
        }
        Frame title = Frame.straight(ramp(), ramp(), ramp(), edge);
        Look shifted =
                Look.atRest("shift", new Rgb(), new Shift())
                        .withSettings(0, 0, a -> a.with("x", Value.of(3)))
                        .withBlend(new LookBlend(Blend.NORMAL, Value.of(2)));
        for (Look look : new Look[] {shifted, gain(100, 2, Blend.named("overlay"))}) {
            for (Plane coverage : render(title, look).coverage()) {
                for (float c : coverage.data()) {
                    assertThat(c).isBetween(0f, 1f);
                }
            }
        }
    }
}
