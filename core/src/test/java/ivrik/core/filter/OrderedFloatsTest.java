package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.BiPredicate;

/** Filters that select one of the neighbouring values. */
class OrderedFloatsTest {
    private static final Workers WORKERS = Workers.shared();

    private static List<Float> about(
            Plane in, int x, int y, int radius, EdgeFill fill, BiPredicate<Integer, Integer> in1) {
        List<Float> values = new ArrayList<>();
        for (int j = -radius; j <= radius; j++) {
            for (int i = -radius; i <= radius; i++) {
                if (in1.test(i, j)) {
                    values.add((float) Exact.at(in, x + i, y + j, fill));
                }
            }
        }
        return values;
    }

    /** Values of both signs, some repeated. */
    private static Plane picture(int width, int height, long seed) {
        Plane in = Pictured.noise(width, height, seed);
        for (int i = 0; i < in.data().length; i++) {
            in.data()[i] = Math.round(in.data()[i] * 40 - 15) / 10f;
        }
        return in;
    }

    @Property(tries = 60)
    void aMedianIsTheMiddleValue(
            @ForAll @IntRange(min = 1, max = 2) int radius,
            @ForAll EdgeFill fill,
            @ForAll @IntRange(min = 1, max = 40) int width,
            @ForAll @IntRange(min = 1, max = 12) int height) {
        Plane in = picture(width, height, width * 31L + height);
        Plane out = new Median(in, radius, fill).toPlane(WORKERS);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                List<Float> all = about(in, x, y, radius, fill, (i, j) -> true);
                Collections.sort(all);
                assertThat(out.at(x, y)).isEqualTo(all.get(all.size() / 2));
            }
        }
    }

    @Test
    void aMedianInTilesHasNoSeams() {
        Plane in = Pictured.noise(900, 7, 4);
        Plane out = new Median(in, 2, EdgeFill.REPEAT).toPlane(WORKERS);
        for (int x = 240; x < 900; x++) {
            List<Float> all = about(in, x, 3, 2, EdgeFill.REPEAT, (i, j) -> true);
            Collections.sort(all);
            assertThat(out.at(x, 3)).isEqualTo(all.get(12));
        }
    }

    @Property(tries = 80)
    void minimumAndMaximumCoverTheirSquareOrDisc(
            @ForAll Morphology kind,
            @ForAll boolean round,
            @ForAll @IntRange(min = 1, max = 9) int radius,
            @ForAll EdgeFill fill) {
        Plane in = picture(37, 23, radius);
        Plane out = kind.of(in, radius, round, fill, WORKERS).toPlane(WORKERS);
        double r = radius + 0.3;
        for (int y = 0; y < 23; y += 3) {
            for (int x = 0; x < 37; x += 2) {
                List<Float> all =
                        about(in, x, y, radius, fill, (i, j) -> !round || i * i + j * j <= r * r);
                float expected =
                        kind == Morphology.EROSION ? Collections.min(all) : Collections.max(all);
                assertThat(out.at(x, y)).isEqualTo(expected);
            }
        }
    }

    @Test
    void fractionalRadiiInterpolate() {
        Plane in = Pictured.noise(40, 30, 2);
        Plane low = Morphology.DILATION.of(in, 3, false, EdgeFill.WRAP, WORKERS).toPlane(WORKERS);
        Plane high = Morphology.DILATION.of(in, 4, false, EdgeFill.WRAP, WORKERS).toPlane(WORKERS);
        Plane out =
                Morphology.DILATION.of(in, 3.25, false, EdgeFill.WRAP, WORKERS).toPlane(WORKERS);
        for (int i = 0; i < out.data().length; i++) {
            double expected = 0.75 * low.data()[i] + 0.25 * high.data()[i];
            assertThat((double) out.data()[i]).isCloseTo(expected, within(1e-6));
        }
    }

    @Test
    void aKernelIsNotMirrored() {
        Plane in = Pictured.noise(11, 9, 7);
        float[] weights = {0, 1, 2, -3, 4, 5, 6, -7, 8};
        Plane out = new Convolution(in, weights, 0.25f, EdgeFill.MIRROR).toPlane(WORKERS);
        for (int y = 0; y < 9; y++) {
            for (int x = 0; x < 11; x++) {
                double sum = 0.25;
                for (int k = 0; k < 9; k++) {
                    sum += weights[k] * Exact.at(in, x + k % 3 - 1, y + k / 3 - 1, EdgeFill.MIRROR);
                }
                assertThat((double) out.at(x, y)).isCloseTo(sum, within(1e-5));
            }
        }
    }

    @Test
    void aKernelSpacedForAPreviewKeepsItsSumAndItsBalance() {
        float[] weights = new float[25];
        for (int i = 0; i < 25; i++) {
            weights[i] = i * 0.1f - 0.9f;
        }
        float[] half = Convolution.spaced(weights, 0.5);
        assertThat(half).hasSize(9);
        assertThat(moment(half, 0)).isCloseTo(moment(weights, 0), within(1e-5));
        assertThat(moment(half, 1)).isCloseTo(moment(weights, 1) / 2, within(1e-5));
        assertThat(Convolution.spaced(weights, 1)).containsExactly(weights);
    }

    /** The sum of the weights times a power of their distance right of the middle. */
    private static double moment(float[] weights, int power) {
        int side = (int) Math.sqrt(weights.length);
        double sum = 0;
        for (int i = 0; i < weights.length; i++) {
            sum += weights[i] * Math.pow(i % side - side / 2, power);
        }
        return sum;
    }
}
