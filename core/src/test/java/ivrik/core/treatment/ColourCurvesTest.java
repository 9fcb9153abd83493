package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.Map;

/** Curves over hue and gradients over tones, against the formulas written out. */
class ColourCurvesTest {
    private static double[] pixel(
            PictureTreatment treatment,
            double[] rgb,
            Map<String, Double> numbers,
            Map<String, String> words) {
        return PictureTreatmentsTest.pixel(treatment, rgb, numbers, words);
    }

    /** A colour of hue 30 (red with half as much green), the opposite hue 210, and a grey. */
    @ParameterizedTest
    @CsvSource({"saturation", "hue", "luma"})
    void aHueCurveChangesTheHuesAtItsPointsAndNoGrey(String what) {
        double[] orange = {0.8, 0.5, 0.2};
        double[] against = {0.2, 0.5, 0.8};
        double[] grey = {0.4, 0.4, 0.4};
        Map<String, Double> numbers =
                Map.of(
                        "point.0.in",
                        30.0,
                        "point.0.out",
                        50.0,
                        "point.1.in",
                        330.0,
                        "point.1.out",
                        0.0);
        Map<String, String> words = Map.of("affects", what);
        double[] out = pixel(new HueCurve(), orange, numbers, words);
        double y = 0.2126 * 0.8 + 0.7152 * 0.5 + 0.0722 * 0.2;
        double cb = (0.2 - y) / 1.8556;
        double cr = (0.8 - y) / 1.5748;
        double a = Math.toRadians(30);
        double red = y + 1.5748 * (cb * Math.sin(a) + cr * Math.cos(a));
        double blue = y + 1.8556 * (cb * Math.cos(a) - cr * Math.sin(a));
        double[] wanted =
                switch (what) {
                    case "hue" ->
                            new double[] {red, (y - 0.2126 * red - 0.0722 * blue) / 0.7152, blue};
                    case "luma" -> new double[] {0.8 * 1.375, 0.5 * 1.375, 0.2 * 1.375};
                    default ->
                            new double[] {
                                y + 1.5 * (0.8 - y), y + 1.5 * (0.5 - y), y + 1.5 * (0.2 - y)
                            };
                };
        assertThat(out).containsExactly(wanted, within(2e-6));
        assertThat(pixel(new HueCurve(), against, numbers, words))
                .containsExactly(against, within(1e-7));
        assertThat(pixel(new HueCurve(), grey, numbers, words)).containsExactly(grey, within(1e-7));
    }

    /**
     * Dark at 0, an added stop at a quarter, the middle moved to three quarters, light at the end.
     */
    @ParameterizedTest
    @CsvSource({"0, 8", "0.125, 54", "0.25, 100", "0.5, 77", "0.75, 54", "0.875, 77", "1, 100"})
    void aGradientPassesItsStops(double tone, double red) {
        Map<String, Double> numbers =
                Map.of(
                        "amount",
                        100.0,
                        "midpoint",
                        75.0,
                        "stop.0.at",
                        25.0,
                        "stop.0.red",
                        100.0,
                        "stop.0.green",
                        0.0,
                        "stop.0.blue",
                        0.0);
        double[] out = pixel(new GradientMap(), new double[] {tone, tone, tone}, numbers, Map.of());
        assertThat(out[0]).isCloseTo(red / 100, within(1e-6));
    }

    /** Flat at its points, half way between two points, zero at 60 degrees from a single point. */
    @ParameterizedTest
    @CsvSource({"350, 1", "10, 0.5", "30, 0", "20, 0.15625", "320, 0.5", "290, 0", "180, 0"})
    void aHueCurveWrapsAround(double hue, double by) {
        Map<String, Double> numbers =
                Map.of(
                        "point.0.in",
                        30.0,
                        "point.0.out",
                        0.0,
                        "point.1.in",
                        350.0,
                        "point.1.out",
                        100.0);
        Settings settings = new Settings(numbers, EdgeFill.REPEAT, Sampler.CUBIC);
        assertThat(HueCurve.curve(settings).applyAsDouble(hue)).isCloseTo(by, within(1e-9));
    }
}
