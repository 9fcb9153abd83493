package ivrik.core.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.separation.Rgb;
import ivrik.core.treatment.Halation;
import ivrik.core.treatment.PhosphorScreen;
import ivrik.core.treatment.Vignette;

import org.junit.jupiter.api.Test;

import java.util.Arrays;
import java.util.Map;

/** Consecutive treatments in linear light. */
class LinearLightStageTest {
    private static final int W = 64;
    private static final int H = 48;
    private static final double GREY = 0.5;

    private final Scene grey =
            new Scene(
                    Frame.opaque(
                            Plane.flat(W, H, (float) GREY),
                            Plane.flat(W, H, (float) GREY),
                            Plane.flat(W, H, (float) GREY)));

    private static Look with(Look look, String step, Map<String, Double> numbers) {
        Look changed = look;
        for (Map.Entry<String, Double> each : numbers.entrySet()) {
            changed =
                    changed.withSettings(
                            step, 0, a -> a.with(each.getKey(), Value.of(each.getValue())));
        }
        return changed;
    }

    /** Two vignettes that fall off from the centre; the second has an amount. */
    private static Look vignettes(double first, double second, double amount) {
        Look look =
                Look.atRest("l", new Rgb())
                        .withStepAdded(Step.atRest("first", new Vignette(), 3))
                        .withStepAdded(Step.atRest("second", new Vignette(), 3));
        look = with(look, "first", Map.of("stops", first, "inner", 0.0));
        return with(look, "second", Map.of("stops", second, "inner", 0.0, "amount", amount));
    }

    /** A value brightened by stops in linear light, by IEC 61966-2-1. */
    private static double brighter(double value, double stops) {
        double light = Math.pow((value + 0.055) / 1.055, 2.4) * Math.pow(2, stops);
        return 1.055 * Math.pow(light, 1 / 2.4) - 0.055;
    }

    /** The fraction of the corner's stops at a pixel. */
    private static double share(int x, int y) {
        double dx = x + 0.5 - W / 2.0;
        double dy = y + 0.5 - H / 2.0;
        return (dx * dx + dy * dy) / ((W * W + H * H) / 4.0);
    }

    private double at(Look look, int x, int y) {
        return grey.render(grey.project(look), 0).colour().get(1).at(x, y);
    }

    @Test
    void consecutiveTreatmentsStayInLinearLight() {
        Look look = vignettes(-1, 2.5, 100);
        assertThat(at(look, 2, 3)).isCloseTo(brighter(GREY, 1.5 * share(2, 3)), within(3e-6));
        assertThat(at(look, 40, 30)).isCloseTo(brighter(GREY, 1.5 * share(40, 30)), within(3e-6));
    }

    @Test
    void partialAmountsMixInDisplayCodes() {
        double first = brighter(GREY, -1 * share(2, 3));
        double both = brighter(GREY, 1.5 * share(2, 3));
        assertThat(at(vignettes(-1, 2.5, 50), 2, 3)).isCloseTo((first + both) / 2, within(3e-6));
    }

    @Test
    void aCachedFirstTreatmentGivesTheSameResult() {
        Scene scene = new Scene(Pictured.frame(W, H));
        Look look =
                Look.atRest("l", new Rgb())
                        .withStepAdded(Step.withExampleSettings("halation-1", new Halation(), 3))
                        .withStepAdded(
                                Step.withExampleSettings(
                                        "phosphor-screen-1", new PhosphorScreen(), 3));
        Renderer renderer = scene.renderer();
        for (double mask : new double[] {30, 50, 70}) {
            Look masked = with(look, "phosphor-screen-1", Map.of("mask-strength", mask));
            Frame again = renderer.render(scene.project(masked), 0);
            Frame anew = scene.render(scene.project(masked), 0);
            for (int c = 0; c < 3; c++) {
                assertThat(Arrays.equals(again.colour().get(c).data(), anew.colour().get(c).data()))
                        .isTrue();
            }
        }
    }
}
