package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.separation.Separations;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Map;
import java.util.Optional;

/** Tape treatments, measured on pictures made for the purpose. */
class TapeTest {
    private static final int W = 600;
    private static final int H = 120;

    /** A wave of a number of cycles across the picture. */
    private static Plane wave(double cycles) {
        Plane plane = Plane.of(W, H);
        for (int i = 0; i < W * H; i++) {
            double x = i % W + 0.5;
            plane.data()[i] = (float) (0.5 + 0.4 * Math.cos(2 * Math.PI * cycles * x / W));
        }
        return plane;
    }

    private static Plane done(ChannelTreatment treatment, Plane in, Map<String, Double> numbers) {
        return Treating.treated(treatment, in, Whole.settings(treatment, numbers, Map.of(), 7), 1);
    }

    /** The remaining fraction of a wave's amplitude, away from the edges. */
    private static double left(Plane plane, double cycles) {
        double sum = 0;
        int from = 150;
        int to = 450;
        for (int x = from; x < to; x++) {
            double wave = Math.cos(2 * Math.PI * cycles * (x + 0.5) / W);
            sum += (plane.at(x, 60) - 0.5) * wave * 2 / (to - from);
        }
        return sum / 0.4;
    }

    /**
     * A stepped sweep: waves of rising frequency keep 2^-n(f/f0)^2 (1 + r (1 - cos(pi f/f0))) of their
     * amplitude, where f0 is half as many cycles per picture height as there are lines.
     */
    @ParameterizedTest
    @CsvSource({"60, 0, 1", "30, 0, 1", "60, 0, 3", "60, 50, 1", "40, 80, 2"})
    void aSweepHasTheAskedResponse(double lines, double ringing, double passes) {
        double half = lines / 2 * W / H;
        for (double cycles : new double[] {10, 20, 40, 60, 80, 100, 140, 180}) {
            Plane out =
                    done(
                            new BandwidthLimit(),
                            wave(cycles),
                            Map.of("resolution", lines, "ringing", ringing, "generations", passes));
            double f = cycles / half;
            double expected =
                    Math.pow(2, -passes * f * f)
                            * (1 + ringing / 100 * (1 - Math.cos(Math.PI * f)));
            assertThat(left(out, cycles))
                    .as("%s cycles", cycles)
                    .isCloseTo(expected, within(0.012));
        }
    }

    @Test
    void softeningIsHorizontalOnly() {
        Plane rows = Plane.of(W, H);
        for (int i = 0; i < W * H; i++) {
            rows.data()[i] = i / W % 2;
        }
        Plane out = done(new BandwidthLimit(), rows, Map.of("resolution", 30.0));
        assertThat(out.at(300, 60)).isCloseTo(0f, within(1e-5f));
        assertThat(out.at(300, 61)).isCloseTo(1f, within(1e-5f));
    }

    /** The phase delay of a wave, in pixels. */
    private static double delay(Plane plane, double cycles, int y) {
        double real = 0;
        double imaginary = 0;
        for (int x = 150; x < 450; x++) {
            double turn = 2 * Math.PI * cycles * (x + 0.5) / W;
            real += (plane.at(x, y) - 0.5) * Math.cos(turn);
            imaginary += (plane.at(x, y) - 0.5) * Math.sin(turn);
        }
        return Math.atan2(imaginary, real) / (2 * Math.PI) * W / cycles;
    }

    @Test
    void linesShiftIndependentlyWithinTheWobble() {
        Plane out =
                done(new TimeBaseError(), wave(10), Map.of("line-jitter", 6.0, "line-height", 4.0));
        double most = 0;
        double least = 0;
        for (int y = 2; y < H; y += 4) {
            double late = delay(out, 10, y);
            assertThat(Math.abs(late)).isLessThan(6);
            assertThat(delay(out, 10, y - 1)).as("in one line").isCloseTo(late, within(0.01));
            most = Math.max(most, late);
            least = Math.min(least, late);
        }
        assertThat(most - least).isGreaterThan(2);
    }

    @Test
    void headSwitchingTearsTheLastLines() {
        Plane out =
                done(
                        new TimeBaseError(),
                        wave(10),
                        Map.of(
                                "head-switching",
                                20.0,
                                "head-switching-height",
                                30.0,
                                "line-height",
                                2.0));
        for (int y = 0; y < 90; y++) {
            assertThat(delay(out, 10, y)).isCloseTo(0, within(0.01));
        }
        assertThat(delay(out, 10, H - 1)).isBetween(9.0, 30.0);
    }

    @Test
    void interlacingAlternatesFields() {
        Plane[] frames = new Plane[4];
        for (int i = 0; i < 4; i++) {
            Map<String, Double> numbers =
                    Map.of("line-jitter", 6.0, "line-height", 1.0, "interlaced", i < 2 ? 0.0 : 1.0);
            TimeBaseError wobble = new TimeBaseError();
            frames[i] =
                    Treating.treated(
                            wobble, wave(10), Whole.settings(wobble, numbers, Map.of(), i % 2), 1);
        }
        assertThat(apart(frames[0])).isLessThan(0.6 * apart(frames[2]));
        assertThat(frames[0].sameSamples(frames[1])).isFalse();
    }

    /** The mean difference between the positions of neighbouring lines. */
    private static double apart(Plane plane) {
        double sum = 0;
        for (int y = 1; y < H; y++) {
            sum += Math.abs(delay(plane, 10, y) - delay(plane, 10, y - 1));
        }
        return sum;
    }

    @ParameterizedTest
    @ValueSource(doubles = {4, 20})
    void dropoutsAreWhiteLinesWithoutColour(double rate) {
        Plane in = Plane.flat(W, H, 0.3f);
        Map<String, Double> numbers = Map.of("rate", rate, "length", 60.0, "line-height", 2.0);
        Plane luma = done(new Dropouts(), in, numbers);
        int lost = 0;
        for (int y = 0; y < H; y += 2) {
            for (int x = 0; x < W; x++) {
                assertThat(luma.at(x, y)).isEqualTo(luma.at(x, y + 1)).isBetween(0.3f, 1f);
                lost += luma.at(x, y) > 0.3f ? 1 : 0;
            }
        }
        assertThat(lost / 60.0).isBetween(0.4 * rate, 1.8 * rate);
        Context colour =
                new Context(
                        1,
                        Separations.named("ycbcr-601").channels().get(1),
                        Optional.empty(),
                        Workers.shared());
        Plane chroma =
                new Dropouts()
                        .apply(in, Whole.settings(new Dropouts(), numbers, Map.of(), 7), colour)
                        .toPlane(Workers.shared());
        for (int i = 0; i < W * H; i++) {
            assertThat(chroma.data()[i]).isBetween(0f, 0.3f);
            assertThat(chroma.data()[i] < 0.3f).isEqualTo(luma.data()[i] > 0.3f);
        }
    }

    @Test
    void dropoutsChangePerFrame() {
        Dropouts dropouts = new Dropouts();
        Plane in = Pictured.smooth(W, H, 1);
        Map<String, Double> numbers = Map.of("rate", 12.0);
        Plane a = Treating.treated(dropouts, in, Whole.settings(dropouts, numbers, Map.of(), 1), 1);
        Plane b = Treating.treated(dropouts, in, Whole.settings(dropouts, numbers, Map.of(), 2), 1);
        assertThat(a.sameSamples(b)).isFalse();
    }
}
