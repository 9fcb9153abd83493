package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.motion.RandomKey;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/** Numbers computed by hand. */
class ToneTest {
    private static double of(ChannelTreatment t, double value, Object... numbers) {
        return of(t, value, Treating.channel(0), numbers);
    }

    private static double of(
            ChannelTreatment t, double value, ChannelKind channel, Object... numbers) {
        Map<String, Double> all = new HashMap<>();
        for (int i = 0; i < numbers.length; i += 2) {
            all.put((String) numbers[i], ((Number) numbers[i + 1]).doubleValue());
        }
        Context context = new Context(1, channel, Optional.empty(), Workers.shared());
        return t.apply(
                        Plane.flat(3, 2, (float) value),
                        Treating.settings(t, all, Map.of(), EdgeFill.REPEAT),
                        context)
                .toPlane(Workers.shared())
                .at(1, 1);
    }

    @ParameterizedTest
    @CsvSource({
        "0.5, 150, 0, 1, 0.75",
        "0.5, 100, 10, 1, 0.6",
        "0.25, 100, 0, 2, 0.5",
        "-0.25, 100, 0, 2, -0.5",
        "0.2, 200, -10, 0.5, 0.09",
        "1.5, 200, 0, 1, 3"
    })
    void gainOffsetAndGamma(double in, double gain, double offset, double gamma, double out) {
        assertThat(of(new Gain(), in, "gain", gain, "offset", offset, "gamma", gamma))
                .isCloseTo(out, within(1e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "0.5, 25, 75, 0, 100, 1, 0.5",
        "0.4, 20, 60, 0, 100, 1, 0.5",
        "0.4, 20, 60, 10, 50, 1, 0.3",
        "0.3, 20, 60, 0, 100, 2, 0.5",
        "0.1, 20, 60, 0, 100, 1, -0.25",
        "0.5, 0, 100, 100, 0, 1, 0.5",
        "0.2, 0, 100, 100, 0, 1, 0.8"
    })
    void levels(
            double in,
            double inLow,
            double inHigh,
            double outLow,
            double outHigh,
            double gamma,
            double out) {
        assertThat(
                        of(
                                new Levels(),
                                in,
                                "in-low",
                                inLow,
                                "in-high",
                                inHigh,
                                "out-low",
                                outLow,
                                "out-high",
                                outHigh,
                                "gamma",
                                gamma))
                .isCloseTo(out, within(1e-6));
    }

    @Test
    void differenceChannelsAreTreatedAroundTheirMiddle() {
        ChannelKind signed = Separations.named("ycbcr-709").channels().get(1);
        assertThat(of(new Invert(), 0.2, signed)).isCloseTo(-0.2, within(1e-6));
        assertThat(of(new Gain(), -0.2, signed, "gain", 200)).isCloseTo(-0.4, within(1e-6));
        assertThat(of(new Invert(), 0.2)).isCloseTo(0.8, within(1e-6));
    }

    @Test
    void thresholdAndPosterise() {
        assertThat(of(new Threshold(), 0.49, "level", 50, "soft", 0)).isZero();
        assertThat(of(new Threshold(), 0.5, "level", 50, "soft", 0)).isEqualTo(1);
        assertThat(of(new Threshold(), 0.5, "level", 50, "soft", 20)).isCloseTo(0.5, within(1e-6));
        assertThat(of(new Threshold(), 0.55, "level", 50, "soft", 20))
                .isCloseTo(0.84375, within(1e-6));
        assertThat(of(new Posterise(), 0.4, "levels", 3)).isEqualTo(0.5);
        assertThat(of(new Posterise(), 0.2, "levels", 3)).isZero();
        assertThat(of(new Posterise(), 1.3, "levels", 3)).isEqualTo(1.5);
    }

    /** In 8x8 dots the raised fraction equals the position between the two levels. */
    @ParameterizedTest
    @CsvSource({"0.5, 2, 1, 32", "0.25, 2, 3, 16", "0.4, 6, 1, 0", "0.55, 5, 2, 13"})
    void ditherMixesTwoLevels(float value, double levels, double size, int raised) {
        Map<String, Double> numbers = Map.of("amount", 100.0, "levels", levels, "dot-size", size);
        Settings settings = Treating.settings(new Dither(), numbers);
        int side = (int) (8 * size);
        Plane out = Treating.treated(new Dither(), Plane.flat(side, side, value), settings, 1);
        double steps = levels - 1;
        double below = Math.floor(value * steps + 1e-6) / steps;
        int count = 0;
        for (float v : out.data()) {
            boolean up = Math.abs(v - below - 1 / steps) < 1e-6;
            assertThat(up || Math.abs(v - below) < 1e-6).as("a level: %s", v).isTrue();
            count += up ? 1 : 0;
        }
        assertThat(count).isEqualTo((int) (raised * size * size));
    }

    /** The 2x2 matrix from which the larger ones are built: 0 2, 3 1. */
    @Test
    void theDitherMatrixIsBayers() {
        assertThat(Dither.threshold(0, 0)).isLessThan(Dither.threshold(1, 1));
        assertThat(Dither.threshold(1, 1)).isLessThan(Dither.threshold(1, 0));
        assertThat(Dither.threshold(1, 0)).isLessThan(Dither.threshold(0, 1));
        assertThat(IntStream.range(0, 64).mapToObj(i -> Dither.threshold(i % 8, i / 8)).distinct())
                .hasSize(64);
    }

    @Test
    void aCurveThroughOnePoint() {
        assertThat(of(new Curve(), 0.5, "point.0.in", 50, "point.0.out", 80))
                .isCloseTo(0.8, within(1e-6));
        assertThat(of(new Curve(), 1, "point.0.in", 50, "point.0.out", 80))
                .isCloseTo(1, within(1e-6));
        assertThat(
                        new Curve()
                                .isNeutral(
                                        Treating.settings(
                                                new Curve(),
                                                Map.of("point.0.in", 30.0, "point.0.out", 30.0))))
                .isTrue();
    }

    @Test
    void sharpeningAddsTheDifferenceToTheBlur() {
        Plane in = Plane.of(9, 1);
        in.data()[4] = 1;
        Settings s = Treating.settings(new UnsharpMask(), Map.of("strength", 100.0, "radius", 2.0));
        Plane out = Treating.treated(new UnsharpMask(), in, s, 1);
        double middle = 1 / (1 + 2 * (Math.exp(-0.5) + Math.exp(-2) + Math.exp(-4.5)));
        assertThat((double) out.at(4, 0)).isCloseTo(2 - middle, within(1e-3));
        assertThat((double) out.at(5, 0)).isCloseTo(-middle * Math.exp(-0.5), within(1e-3));
    }

    @Test
    void aKernelDividesAndAddsItsOffset() {
        Map<String, Double> numbers = new HashMap<>();
        for (int i = 0; i < 25; i++) {
            numbers.put(ConvolutionKernel.name(i), 1.0);
        }
        numbers.put("divisor", 50.0);
        numbers.put("offset", 20.0);
        Plane out =
                Treating.treated(
                        new ConvolutionKernel(),
                        Plane.flat(8, 8, 0.4f),
                        Treating.settings(new ConvolutionKernel(), numbers),
                        1);
        assertThat((double) out.at(3, 3)).isCloseTo(0.4, within(1e-6));
    }

    private static Plane withPicture(
            ChannelTreatment t,
            Plane in,
            Plane picture,
            Map<String, Double> numbers,
            String... words) {
        Map<String, String> chosen = new HashMap<>();
        for (int i = 0; i < words.length; i += 2) {
            chosen.put(words[i], words[i + 1]);
        }
        Context context =
                new Context(1, Treating.channel(0), Optional.of(picture), Workers.shared());
        return t.apply(in, Treating.settings(t, numbers, chosen, EdgeFill.REPEAT), context)
                .toPlane(Workers.shared());
    }

    @Test
    void aMaskIsRepeatedAndCompensatedByItsMean() {
        Plane pattern = Plane.of(3, 1, 1f, 0.5f, 0f);
        Plane in = Plane.flat(6, 2, 0.4f);
        Plane out = withPicture(new ScreenPattern(), in, pattern, Map.of("amount", 100.0));
        assertThat(out.at(0, 1)).isCloseTo(0.8f, within(1e-6f));
        assertThat(out.at(4, 1)).isCloseTo(0.4f, within(1e-6f));
        assertThat(out.at(5, 0)).isZero();
        double sum = 0;
        for (float v : out.data()) {
            sum += v;
        }
        assertThat(sum / 12).isCloseTo(0.4, within(1e-6));
    }

    @Test
    void aPictureIsBlendedByModeContrastAndStrength() {
        Plane picture = Plane.flat(4, 4, 0.75f);
        Plane in = Plane.flat(4, 4, 0.5f);
        Plane out =
                withPicture(
                        new Texture(),
                        in,
                        picture,
                        Map.of("strength", 50.0, "contrast", 200.0),
                        "blend",
                        "multiply");
        assertThat(out.at(2, 2)).isCloseTo(0.5f, within(1e-6f));
        Plane less =
                withPicture(
                        new Texture(),
                        in,
                        picture,
                        Map.of("strength", 50.0, "contrast", 100.0),
                        "blend",
                        "multiply");
        assertThat(less.at(2, 2)).isCloseTo(0.4375f, within(1e-6f));
    }

    @Test
    void displacementIsRelativeToMidGrey() {
        Plane in = ivrik.core.Pictured.noise(20, 10, 3);
        Plane out =
                withPicture(
                        new Displacement(),
                        in,
                        Plane.flat(20, 10, 1f),
                        Map.of("x", 3.0, "y", -2.0),
                        "by",
                        "picture");
        assertThat(out.at(8, 4)).isEqualTo(in.at(5, 6));
        Plane still =
                withPicture(
                        new Displacement(),
                        in,
                        Plane.flat(20, 10, 0.5f),
                        Map.of("x", 3.0, "y", -2.0),
                        "by",
                        "picture");
        assertThat(still.sameSamples(in)).isTrue();
    }

    @Test
    void blocksHoldTheirFramesAndChannelsMoveApart() {
        Plane in = ivrik.core.Pictured.noise(96, 64, 5);
        Plane first = broken(in, 0, 0, 0);
        assertThat(broken(in, 0, 2, 0).sameSamples(first)).isTrue();
        assertThat(broken(in, 0, 3, 0).sameSamples(first)).isFalse();
        assertThat(broken(in, 1, 0, 0).sameSamples(first)).isFalse();
        assertThat(broken(in, 1, 0, 1).sameSamples(broken(in, 0, 0, 1))).isTrue();
        int unmoved = 0;
        for (int y = 0; y < 4; y++) {
            for (int x = 0; x < 6; x++) {
                unmoved +=
                        first.at(x * 16 + 8, y * 16 + 8) == in.at(x * 16 + 8, y * 16 + 8) ? 1 : 0;
            }
        }
        assertThat(unmoved).isBetween(3, 21);
    }

    private static Plane broken(Plane in, int channel, long frame, double same) {
        Displacement d = new Displacement();
        Settings rest =
                Treating.settings(
                        d, Map.of("x", 9.0, "size", 16.0, "affected", 50.0, "same", same));
        Settings s =
                new Settings(
                        rest.numbers(),
                        Map.of("by", "blocks"),
                        EdgeFill.WRAP,
                        Sampler.CUBIC,
                        new Settings.Moment(channel, frame, new RandomKey(1, RandomKey.ANYWHERE)));
        return Treating.treated(d, in, s, 1);
    }
}
