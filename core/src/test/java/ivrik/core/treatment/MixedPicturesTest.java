package ivrik.core.treatment;

import static ivrik.core.treatment.Whole.code;
import static ivrik.core.treatment.Whole.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Channel mixer, tints, vignette, bars, dust and damaged blocks, by their formulas. */
class MixedPicturesTest {
    private static final List<Plane> NOISE =
            List.of(
                    Pictured.noise(96, 64, 1),
                    Pictured.noise(96, 64, 2),
                    Pictured.noise(96, 64, 3));

    @Test
    void channelsAreMixedByTheirWeights() {
        Map<String, Double> numbers =
                Map.of(
                        "red-from-red", 0.0,
                        "red-from-blue", 100.0,
                        "green-from-red", 30.0,
                        "green-from-green", -50.0,
                        "blue-from-green", 250.0);
        List<Plane> out = Whole.done(new ChannelMixer(), NOISE, numbers, Map.of());
        for (int i = 0; i < 96 * 64; i++) {
            float r = NOISE.get(0).data()[i];
            float g = NOISE.get(1).data()[i];
            float b = NOISE.get(2).data()[i];
            assertThat(out.get(0).data()[i]).isEqualTo(b);
            assertThat(out.get(1).data()[i]).isCloseTo(0.3f * r - 0.5f * g, within(1e-6f));
            assertThat(out.get(2).data()[i]).isCloseTo(2.5f * g + b, within(1e-6f));
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "0.25, 0.5", "0.5, 1", "0.8, 1.4", "1, 2"})
    void tonesMapLinearlyToColours(double tone, double at) {
        double[][] stops = {{0.08, 0.06, 0.24}, {0.54, 0.47, 0.52}, {1, 0.88, 0.8}};
        List<Plane> out =
                Whole.done(
                        new GradientMap(),
                        Whole.flat(3, 3, tone),
                        Map.of("amount", 100.0, "midpoint", tone == 0.8 ? 200 / 3.0 : 50.0),
                        Map.of());
        int before = Math.min(1, (int) at);
        for (int c = 0; c < 3; c++) {
            double expected =
                    stops[before][c] + (at - before) * (stops[before + 1][c] - stops[before][c]);
            assertThat((double) out.get(c).at(1, 1)).isCloseTo(expected, within(1e-4));
        }
    }

    @Test
    void aVignetteReducesStopsTowardsTheCorner() {
        Map<String, Double> numbers = Map.of("stops", -2.0, "inner", 40.0);
        Plane out =
                Whole.done(new Vignette(), Whole.flat(160, 120, 0.6), numbers, Map.of()).getFirst();
        for (int[] at : new int[][] {{80, 60}, {100, 70}, {150, 20}, {0, 0}, {159, 119}}) {
            double r = Math.hypot(at[0] + 0.5 - 80, at[1] + 0.5 - 60) / 100;
            double direction = Math.clamp((r - 0.4) / 0.6, 0, 1);
            double expected = code(light(0.6) * Math.pow(2, -2 * direction * direction));
            assertThat((double) out.at(at[0], at[1])).isCloseTo(expected, within(1e-4));
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {0, 6, 31})
    void aBarTravelsDownAtItsSpeed(long frame) {
        RollingBar bar = new RollingBar();
        Settings settings =
                Whole.settings(
                        bar,
                        Map.of("strength", -40.0, "speed", 0.5, "rate", 24.0, "start", 25.0),
                        Map.of(),
                        frame);
        Plane out = Treating.treated(bar, Plane.flat(5, 200, 0.7f), settings, 1);
        for (int y = 0; y < 200; y += 9) {
            double at = (y + 0.5) / 200 - 0.25 - 0.5 * frame / 24;
            double wave = Math.pow(Math.cos(Math.PI * at), 4);
            assertThat((double) out.at(2, y)).isCloseTo(0.7 * (1 - 0.4 * wave), within(1e-6));
        }
    }

    private static Plane dusty(Map<String, Double> numbers, String tone, long frame) {
        Dust dust = new Dust();
        Map<String, Double> all = new HashMap<>(Map.of("strength", 100.0));
        all.putAll(numbers);
        return Treating.treated(
                dust,
                Plane.flat(300, 200, 0.5f),
                Whole.settings(dust, all, Map.of("colour", tone), frame),
                1);
    }

    private static double dirty(Plane plane) {
        double sum = 0;
        for (float v : plane.data()) {
            sum += Math.abs(v - 0.5) * 2;
        }
        return sum;
    }

    @Test
    void specksChangePerFrameAndMatchTheirCount() {
        Plane few = dusty(Map.of("specks", 5.0), "dark", 3);
        Plane many = dusty(Map.of("specks", 100.0), "dark", 3);
        assertThat(dirty(many)).isGreaterThan(8 * dirty(few)).isPositive();
        assertThat(dusty(Map.of("specks", 5.0), "dark", 4).sameSamples(few)).isFalse();
        for (float v : many.data()) {
            assertThat(v).isBetween(0f, 0.5f);
        }
        for (float v : dusty(Map.of("specks", 100.0), "light", 3).data()) {
            assertThat(v).isBetween(0.5f, 1f);
        }
    }

    /** A scratch moves a few pixels per frame during its life. */
    @Test
    void scratchesPersist() {
        int stayed = 0;
        int seen = 0;
        for (long frame = 0; frame < 60; frame++) {
            Map<String, Double> numbers = Map.of("scratches", 1.0, "scratch-duration", 30.0);
            int now = darkest(dusty(numbers, "dark", frame));
            int next = darkest(dusty(numbers, "dark", frame + 1));
            if (now >= 0 && next >= 0) {
                seen++;
                stayed += Math.abs(now - next) <= 3 ? 1 : 0;
            }
        }
        assertThat(seen).isGreaterThan(10);
        assertThat(stayed).isGreaterThanOrEqualTo(seen - 4);
    }

    private static int darkest(Plane plane) {
        int found = -1;
        double least = 0.49;
        for (int x = 0; x < 300; x++) {
            double mean = 0;
            for (int y = 0; y < 200; y++) {
                mean += plane.at(x, y) / 200;
            }
            if (mean < least) {
                least = mean;
                found = x;
            }
        }
        return found;
    }

    private static List<Plane> broken(Map<String, Double> numbers, long frame) {
        Map<String, Double> all = new HashMap<>(Map.of("width", 16.0, "height", 8.0));
        all.putAll(numbers);
        BlockCorruption blocks = new BlockCorruption();
        return Whole.done(
                blocks,
                NOISE,
                Whole.settings(blocks, all, Map.of(), frame),
                java.util.Optional.empty());
    }

    @Test
    void aStuckBlockShowsItsLeftEdge() {
        List<Plane> out = broken(Map.of("stuck", 100.0), 0);
        for (int y = 0; y < 64; y++) {
            for (int x = 0; x < 96; x++) {
                assertThat(out.get(1).at(x, y)).isEqualTo(NOISE.get(1).at(x / 16 * 16, y));
            }
        }
    }

    @Test
    void aSwappedBlockHasTheSameValuesInOtherChannels() {
        List<Plane> out = broken(Map.of("swap", 100.0), 0);
        for (int i = 0; i < 96 * 64; i++) {
            int n = i;
            assertThat(out.stream().map(p -> p.data()[n]))
                    .containsExactlyInAnyOrderElementsOf(
                            NOISE.stream().map(p -> p.data()[n]).toList());
        }
        assertThat(out.get(0).sameSamples(NOISE.get(0))).isFalse();
    }

    @Test
    void aFlippedBitChangesACodeByAPowerOfTwo() {
        List<Plane> out = broken(Map.of("bits", 100.0), 0);
        int changed = 0;
        for (int i = 0; i < 96 * 64; i++) {
            for (int c = 0; c < 3; c++) {
                long by =
                        Math.round(255.0 * Math.abs(out.get(c).data()[i] - NOISE.get(c).data()[i]));
                assertThat(by).isIn(0L, 16L, 32L, 64L, 128L);
                changed += by == 0 ? 0 : 1;
            }
        }
        assertThat(changed).isEqualTo(96 * 64);
    }

    @Test
    void damagedBlocksMatchTheShareAndHold() {
        int stuck = 0;
        for (long frame = 0; frame < 60; frame += 3) {
            List<Plane> out = broken(Map.of("stuck", 25.0), frame);
            List<Plane> next = broken(Map.of("stuck", 25.0), frame + 2);
            assertThat(out.get(0).sameSamples(next.get(0))).isTrue();
            for (int y = 0; y < 64; y += 8) {
                for (int x = 0; x < 96; x += 16) {
                    stuck += out.get(0).at(x + 5, y) == NOISE.get(0).at(x, y) ? 1 : 0;
                }
            }
        }
        assertThat(stuck / (20 * 48.0)).isCloseTo(0.25, within(0.06));
    }
}
