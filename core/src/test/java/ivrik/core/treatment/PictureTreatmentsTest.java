package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.colour.Transfer;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Resample;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/** Treatments of whole pictures, against the formulas written out. */
class PictureTreatmentsTest {
    static List<PictureTreatment> all() {
        return Treatments.ofPictures();
    }

    private static List<Plane> done(
            PictureTreatment treatment,
            Frame picture,
            Map<String, Double> numbers,
            Map<String, String> words,
            double scale,
            Workers workers) {
        Map<String, Double> all = new HashMap<>();
        treatment.description().parameters().forEach(p -> all.put(p.name(), p.rest()));
        all.putAll(numbers);
        Settings settings =
                new Settings(all, words, EdgeFill.REPEAT, Sampler.CUBIC, Settings.Moment.ANY);
        PictureContext context =
                new PictureContext(
                        scale, Transfer.SRGB, Optional.empty(), Optional.empty(), workers);
        return treatment
                .apply(ColourRows.ofPlanes(picture.colour()), settings, context)
                .toPlanes(workers);
    }

    static double[] pixel(
            PictureTreatment treatment,
            double[] rgb,
            Map<String, Double> numbers,
            Map<String, String> words) {
        Frame one =
                Frame.opaque(
                        Plane.flat(3, 2, (float) rgb[0]),
                        Plane.flat(3, 2, (float) rgb[1]),
                        Plane.flat(3, 2, (float) rgb[2]));
        return done(treatment, one, numbers, words, 1, Workers.shared()).stream()
                .mapToDouble(p -> p.at(1, 1))
                .toArray();
    }

    /** IEC 61966-2-1. */
    private static double light(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double code(double l) {
        return l <= 0.0031308 ? 12.92 * l : 1.055 * Math.pow(l, 1 / 2.4) - 0.055;
    }

    @ParameterizedTest
    @CsvSource({"150, 46", "40, 46", "220, 20", "0, 60"})
    void contrastScalesAroundAPivotInStopsOrCodes(double percent, double about) {
        double[] in = {0.2, 0.5, 0.03};
        double k = percent / 100;
        double p = about / 100;
        Map<String, Double> numbers = Map.of("contrast", percent, "pivot", about);
        double[] delivered = pixel(new Contrast(), in, numbers, Map.of());
        double[] stops = pixel(new Contrast(), in, numbers, Map.of("light", "linear"));
        for (int c = 0; c < 3; c++) {
            assertThat(delivered[c]).isCloseTo(p + k * (in[c] - p), within(1e-6));
            double wanted = code(light(p) * Math.pow(light(in[c]) / light(p), k));
            assertThat(stops[c]).isCloseTo(wanted, within(1e-6));
        }
        assertThat(pixel(new Contrast(), new double[3], numbers, Map.of("light", "linear"))[0])
                .as("black stays black except in a flat grey")
                .isCloseTo(k == 0 ? p : 0, within(1e-6));
    }

    /** By the formulas of ASC CDL 1.2, with luma by BT.709. */
    @Test
    void slopeOffsetAndPowerFollowAscCdl() {
        double[] in = {0.2, 0.5, 0.03};
        double[] slope = {1.2, 0.8, 3};
        double[] offset = {0.05, -0.1, -0.2};
        double[] power = {0.7, 1.6, 1.3};
        Map<String, Double> numbers = new HashMap<>(Map.of("saturation", 1.4));
        double[] graded = new double[3];
        for (int c = 0; c < 3; c++) {
            String channel = List.of("red", "green", "blue").get(c);
            numbers.put("slope-" + channel, slope[c]);
            numbers.put("offset-" + channel, offset[c]);
            numbers.put("power-" + channel, power[c]);
            double v = in[c] * slope[c] + offset[c];
            graded[c] = v > 0 ? Math.pow(v, power[c]) : v;
        }
        assertThat(graded[2]).as("negative values stay negative").isCloseTo(-0.11, within(1e-9));
        double luma = 0.2126 * graded[0] + 0.7152 * graded[1] + 0.0722 * graded[2];
        double[] out = pixel(new SlopeOffsetPower(), in, numbers, Map.of());
        for (int c = 0; c < 3; c++) {
            assertThat(out[c]).isCloseTo(luma + 1.4 * (graded[c] - luma), within(1e-6));
        }
    }

    @ParameterizedTest
    @CsvSource({"1", "-2.5", "0.3", "-12"})
    void exposureMultipliesLightByAPowerOfTwo(double stops) {
        double[] in = {0.2, 0.5, 0.03};
        double[] linear = pixel(new Exposure(), in, Map.of("stops", stops), Map.of());
        double[] delivered =
                pixel(new Exposure(), in, Map.of("stops", stops), Map.of("light", "gamma-encoded"));
        for (int c = 0; c < 3; c++) {
            assertThat(linear[c]).isCloseTo(code(light(in[c]) * Math.pow(2, stops)), within(3e-5));
            assertThat(delivered[c]).isCloseTo(in[c] * Math.pow(2, stops), within(1e-6));
        }
    }

    @ParameterizedTest
    @CsvSource({"0", "50", "160", "400"})
    void saturationScalesTheDistanceFromBt709Luma(double percent) {
        double[] in = {0.7, 0.2, 0.4};
        double luma = 0.2126 * in[0] + 0.7152 * in[1] + 0.0722 * in[2];
        double[] out = pixel(new Saturation(), in, Map.of("saturation", percent), Map.of());
        for (int c = 0; c < 3; c++) {
            assertThat(out[c]).isCloseTo(luma + percent / 100 * (in[c] - luma), within(1e-6));
        }
    }

    @Test
    void aPictureCurveIsTheSameForAllChannelsInEitherLight() {
        double[] in = {0.1, 0.5, 0.9};
        Map<String, Double> numbers = Map.of("point.0.in", 50.0, "point.0.out", 70.0);
        MonotoneCurveAt curve = new MonotoneCurveAt(0.5, 0.7);
        double[] delivered = pixel(new RgbCurves(), in, numbers, Map.of());
        double[] linear = pixel(new RgbCurves(), in, numbers, Map.of("light", "linear"));
        for (int c = 0; c < 3; c++) {
            assertThat(delivered[c]).isCloseTo(curve.at(in[c]), within(3e-5));
            assertThat(linear[c]).isCloseTo(code(curve.at(light(in[c]))), within(3e-5));
        }
    }

    /** Butland's cubic through (0, 0), one point and (1, 1), written out. */
    private record MonotoneCurveAt(double x, double y) {
        double at(double v) {
            double a = y / x;
            double b = (1 - y) / (1 - x);
            double middle = 2 * a * b / (a + b);
            return v < x
                    ? hermite(0, y, x, a, middle, v / x)
                    : hermite(y, 1, 1 - x, middle, b, (v - x) / (1 - x));
        }

        private static double hermite(
                double from, double to, double h, double m0, double m1, double t) {
            double t2 = t * t;
            double t3 = t2 * t;
            return (2 * t3 - 3 * t2 + 1) * from
                    + (t3 - 2 * t2 + t) * h * m0
                    + (-2 * t3 + 3 * t2) * to
                    + (t3 - t2) * h * m1;
        }
    }

    private static Map<String, Double> shown(PictureTreatment treatment) {
        Map<String, Double> numbers = new HashMap<>();
        treatment.description().parameters().forEach(p -> numbers.put(p.name(), p.exampleFirst()));
        treatment
                .description()
                .series()
                .ifPresent(s -> numbers.putAll(Map.of("point.0.in", 40.0, "point.0.out", 60.0)));
        return numbers;
    }

    @ParameterizedTest
    @MethodSource("all")
    void anyNumberOfThreadsGivesTheSameBits(PictureTreatment treatment) {
        Frame picture = Pictured.frame(201, 157);
        try (Workers one = new Workers(1);
                Workers seven = new Workers(7)) {
            List<Plane> a = done(treatment, picture, shown(treatment), Map.of(), 1, one);
            List<Plane> b = done(treatment, picture, shown(treatment), Map.of(), 1, seven);
            for (int c = 0; c < 3; c++) {
                assertThat(a.get(c).sameSamples(b.get(c))).isTrue();
                assertThat(a.get(c).sameSamples(picture.colour().get(c))).isFalse();
            }
        }
    }

    static List<PictureTreatment> inLight() {
        return all().stream().filter(t -> t.description().is(Trait.LIGHT)).toList();
    }

    @ParameterizedTest
    @MethodSource("inLight")
    void linearTreatmentsAcceptLinearInput(PictureTreatment treatment) {
        // the brightness compensation of a mask comes from a table with the nearest level
        float near = treatment instanceof PhosphorScreen ? 3e-4f : 2e-6f;
        List<Plane> delivered = Pictured.frame(96, 64).colour();
        List<Plane> light = delivered.stream().map(p -> each(p, Whole::light)).toList();
        List<Plane> made = done(treatment, delivered, Transfer.SRGB);
        List<Plane> madeOfLight = done(treatment, light, Transfer.LINEAR);
        for (int c = 0; c < 3; c++) {
            Plane wanted = each(madeOfLight.get(c), Whole::code);
            assertThat(wanted.data()).isNotEqualTo(delivered.get(c).data());
            for (int i = 0; i < wanted.data().length; i++) {
                assertThat(made.get(c).data()[i]).isCloseTo(wanted.data()[i], within(near));
            }
        }
    }

    private static Plane each(Plane in, DoubleUnaryOperator function) {
        float[] out = new float[in.data().length];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) function.applyAsDouble(in.data()[i]);
        }
        return Plane.of(in.width(), in.height(), out);
    }

    private static List<Plane> done(
            PictureTreatment treatment, List<Plane> picture, Transfer transfer) {
        Workers workers = Workers.shared();
        PictureContext context =
                new PictureContext(1, transfer, Optional.empty(), Optional.empty(), workers);
        Settings settings = Whole.settings(treatment, shown(treatment), Map.of(), 0);
        return treatment.apply(ColourRows.ofPlanes(picture), settings, context).toPlanes(workers);
    }

    @ParameterizedTest
    @MethodSource("all")
    void aSmallPreviewIsTheSmallVersionOfTheFullRender(PictureTreatment treatment) {
        if (treatment instanceof PhosphorScreen) {
            return; // its mask is finer than half the pixels; see PhosphorScreenTest
        }
        Workers w = Workers.shared();
        Frame picture =
                Frame.opaque(
                        Pictured.smooth(192, 128, 0.3),
                        Pictured.smooth(192, 128, 1.3),
                        Pictured.smooth(192, 128, 2.3));
        Size half = new Size(96, 64);
        List<Plane> small =
                done(treatment, Resample.to(picture, half, w), shown(treatment), Map.of(), 0.5, w);
        List<Plane> full = done(treatment, picture, shown(treatment), Map.of(), 1, w);
        for (int c = 0; c < 3; c++) {
            Plane reduced = Resample.to(full.get(c), half, w);
            for (int i = 0; i < reduced.data().length; i++) {
                assertThat(small.get(c).data()[i]).isCloseTo(reduced.data()[i], within(0.02f));
            }
        }
    }

    /** At the points of the table, without interpolation. */
    @Test
    void tablesFollowTheirFormulas() {
        for (int k = 0; k <= 32; k += 4) {
            double v = k / 32.0;
            double[] warm = table("warm", v);
            assertThat(warm[0]).isCloseTo(Math.pow(v, 1 / (1.07 * 1.07)), within(1e-6));
            assertThat(warm[2]).isCloseTo(Math.pow(v, 1 / (0.9 * 0.9)), within(1e-6));
            double[] cool = table("cool", v);
            assertThat(cool[0]).isCloseTo(Math.pow(v, 1 / (0.92 * 0.92)), within(1e-6));

            double lit = 1.25 * 0.18 * Math.pow(2, 14 * (v - 0.42));
            double shown = code(lit * (1 + lit / 144) / (1 + lit));
            assertThat(table("from log", v)[1]).isCloseTo(Math.min(1, shown), within(1e-6));

            double flat =
                    v < 0.45
                            ? 0.45 * Math.pow(v / 0.45, 1.6)
                            : 1 - 0.55 * Math.pow((1 - v) / 0.55, 1.6);
            assertThat(table("from flat", v)[0]).isCloseTo(flat, within(1e-6));
        }
        double[] dark = table("print", 0.25);
        double[] light = table("print", 0.75);
        assertThat(dark[2]).as("cool shadows").isGreaterThan(dark[0]);
        assertThat(light[0]).as("warm lights").isGreaterThan(light[2]);
        assertThat(table("print", 0)[0]).isCloseTo(0.018, within(1e-6));
        assertThat(table("print", 1)[0]).isCloseTo(0.973, within(1e-6));
    }

    private static double[] table(String name, double grey) {
        return pixel(
                new LookupTable(),
                new double[] {grey, grey, grey},
                Map.of("amount", 100.0),
                Map.of("table", name));
    }

    /** Triangular weights on black, mid grey and white, at a luma of 0.2 and of 0.9. */
    @Test
    void theColourCastIsCorrectedByZone() {
        Map<String, Double> numbers =
                Map.of(
                        "amount", 100.0,
                        "shadows-red", 10.0,
                        "midtones-red", -4.0,
                        "midtones-blue", 6.0,
                        "highlights-green", 8.0);
        double[] dark =
                pixel(new CastCorrection(), new double[] {0.2, 0.2, 0.2}, numbers, Map.of());
        assertThat(dark[0]).isCloseTo(0.2 + 0.6 * 0.1 - 0.4 * 0.04, within(1e-6));
        assertThat(dark[1]).isCloseTo(0.2, within(1e-6));
        assertThat(dark[2]).isCloseTo(0.2 + 0.4 * 0.06, within(1e-6));
        double[] light =
                pixel(new CastCorrection(), new double[] {0.9, 0.9, 0.9}, numbers, Map.of());
        assertThat(light[1]).isCloseTo(0.9 + 0.8 * 0.08, within(1e-6));
    }

    private static final Map<String, Double> LIFTED =
            Map.of("point.0.in", 40.0, "point.0.out", 60.0);

    @Test
    void aCurveOfOneChannelLeavesTheOthers() {
        double[] in = {0.4, 0.4, 0.4};
        double[] out = pixel(new RgbCurves(), in, LIFTED, Map.of("channel", "green"));
        assertThat(out).containsExactly(new double[] {0.4, 0.6, 0.4}, within(1e-6));
    }

    @Test
    void aLumaCurveAddsTheSameToAllChannels() {
        double luma = 0.4;
        double red = 0.7;
        double blue = 0.2;
        double green = (luma - 0.2126 * red - 0.0722 * blue) / 0.7152;
        double[] out = pixel(new LumaCurve(), new double[] {red, green, blue}, LIFTED, Map.of());
        double[] wanted = {red + 0.2, green + 0.2, blue + 0.2};
        assertThat(out).containsExactly(wanted, within(2e-6));
    }

    /** Cb = (B - Y) / 1.8556 and Cr = (R - Y) / 1.5748 rotated by an angle, at the same luma. */
    @ParameterizedTest
    @ValueSource(doubles = {30, -90, 180})
    void huesRotateAtConstantLuma(double degrees) {
        double[] in = {0.6, 0.3, 0.2};
        double luma = 0.2126 * in[0] + 0.7152 * in[1] + 0.0722 * in[2];
        double cb = (in[2] - luma) / 1.8556;
        double cr = (in[0] - luma) / 1.5748;
        double a = Math.toRadians(degrees);
        double turnedCb = cb * Math.cos(a) - cr * Math.sin(a);
        double turnedCr = cb * Math.sin(a) + cr * Math.cos(a);
        double[] out =
                pixel(new Saturation(), in, Map.of("saturation", 100.0, "hue", degrees), Map.of());
        assertThat(out[0]).isCloseTo(luma + 1.5748 * turnedCr, within(1e-6));
        assertThat(out[2]).isCloseTo(luma + 1.8556 * turnedCb, within(1e-6));
        assertThat(0.2126 * out[0] + 0.7152 * out[1] + 0.0722 * out[2])
                .isCloseTo(luma, within(1e-6));
    }
}
