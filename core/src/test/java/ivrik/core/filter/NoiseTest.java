package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class NoiseTest {
    private static final Workers WORKERS = Workers.shared();
    private static final Size SIZE = new Size(640, 480);

    private static Plane noise(double grain, double scale, long own, double shared) {
        return new Noise(
                        SIZE.scaled(scale),
                        grain,
                        scale,
                        new Origin(own, 99, shared, Spread.GAUSSIAN))
                .toPlane(WORKERS);
    }

    private static double correlation(Plane a, Plane b, int dx, int dy) {
        double sum = 0;
        double aa = 0;
        double bb = 0;
        for (int y = 0; y < a.height() - dy; y++) {
            for (int x = 0; x < a.width() - dx; x++) {
                double p = a.at(x, y);
                double q = b.at(x + dx, y + dy);
                sum += p * q;
                aa += p * p;
                bb += q * q;
            }
        }
        return sum / Math.sqrt(aa * bb);
    }

    private static double moment(Plane plane, int power) {
        double sum = 0;
        for (float v : plane.data()) {
            sum += Math.pow(v, power);
        }
        return sum / plane.data().length;
    }

    /**
     * For n independent grains the mean square has a relative standard error of sqrt(2/n); the tolerance is
     * three of them.
     */
    @ParameterizedTest
    @ValueSource(doubles = {0.5, 1, 1.3, 2, 3, 4, 5.5, 9, 20})
    void itsMeanIsZeroAndItsVarianceOne(double grain) {
        Plane noise = noise(grain, 1, 1, 0);
        double side = Math.max(1, grain);
        double grains = 640.0 * 480 / (side * side * 1.13);
        assertThat(moment(noise, 1)).isCloseTo(0, within(4 / Math.sqrt(grains)));
        assertThat(moment(noise, 2)).isCloseTo(1, within(4 * Math.sqrt(2 / grains)));
    }

    @ParameterizedTest
    @ValueSource(doubles = {3, 5.5, 9, 20})
    void itsAutocorrelationIsAtHalfWhereTheSizeSays(double grain) {
        double across = 0;
        double down = 0;
        int n = 6;
        for (int k = 0; k < n; k++) {
            Plane noise = noise(grain, 1, k, 0);
            int at = (int) Math.round(grain / 2);
            across += correlation(noise, noise, at, 0) / n;
            down += correlation(noise, noise, 0, at) / n;
        }
        double expected = Math.pow(0.5, Math.pow(Math.round(grain / 2) / (grain / 2), 2));
        assertThat(across).isCloseTo(expected, within(0.07));
        assertThat(down).isCloseTo(expected, within(0.07));
    }

    @Test
    void pixelsOfTheFinestGrainAreIndependent() {
        Plane noise = noise(1, 1, 3, 0);
        assertThat(correlation(noise, noise, 1, 0)).isCloseTo(0, within(0.008));
        assertThat(correlation(noise, noise, 0, 1)).isCloseTo(0, within(0.008));
        assertThat(correlation(noise, noise, 1, 1)).isCloseTo(0, within(0.008));
    }

    @Test
    void channelsAreCorrelatedAsAsked() {
        for (double shared : new double[] {0, 0.4, 1}) {
            Plane a = noise(1, 1, 1, shared);
            Plane b = noise(1, 1, 2, shared);
            assertThat(correlation(a, b, 0, 0)).isCloseTo(shared, within(0.01));
            assertThat(moment(a, 2)).isCloseTo(1, within(0.02));
        }
    }

    /** The fourth moment of a normal distribution is 3, of a uniform one 1.8. */
    @ParameterizedTest
    @EnumSource(Spread.class)
    void theDistributionIsAsAsked(Spread spread) {
        Plane noise = new Noise(SIZE, 1, 1, new Origin(5, 6, 0, spread)).toPlane(WORKERS);
        assertThat(moment(noise, 3)).isCloseTo(0, within(0.03));
        assertThat(moment(noise, 4)).isCloseTo(spread == Spread.GAUSSIAN ? 3 : 1.8, within(0.06));
    }

    @ParameterizedTest
    @ValueSource(doubles = {1, 2.5, 6, 15})
    void aPreviewIsTheSmallVersionOfTheSameNoise(double grain) {
        Plane small = noise(grain, 0.5, 7, 0);
        Plane full = Resample.to(noise(grain, 1, 7, 0), SIZE.scaled(0.5), WORKERS);
        assertThat(correlation(small, full, 0, 0)).isGreaterThan(grain == 1 ? 0.85 : 0.97);
        double loudness = Math.sqrt(moment(small, 2) / moment(full, 2));
        assertThat(loudness).isCloseTo(1, within(grain == 1 ? 0.25 : 0.06));
    }

    @Test
    void anyNumberOfThreadsGivesTheSameBits() {
        Workers single = new Workers(1);
        for (double grain : new double[] {1, 2.5, 12}) {
            Noise noise = new Noise(SIZE, grain, 1, new Origin(1, 2, 0.3, Spread.GAUSSIAN));
            Plane one = noise.toPlane(single);
            for (int threads : new int[] {2, 7}) {
                try (Workers workers = new Workers(threads)) {
                    assertThat(noise.toPlane(workers).sameSamples(one)).isTrue();
                }
            }
        }
    }
}
