package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Random;
import java.util.function.Function;

class BlurTest {
    private static final Workers WORKERS = Workers.shared();

    /** Black and white only: the worst case for a truncated kernel. */
    private static Plane hard(int width, int height) {
        Random random = new Random(5);
        float[] samples = new float[width * height];
        for (int i = 0; i < samples.length; i++) {
            int x = i % width;
            samples[i] = x > width * 2 / 3 ? 1 : x > width / 3 ? random.nextInt(2) : 0;
        }
        return Plane.of(width, height, samples);
    }

    private static double worst(Plane out, double[][] exact) {
        double worst = 0;
        for (int y = 0; y < out.height(); y++) {
            for (int x = 0; x < out.width(); x++) {
                worst = Math.max(worst, Math.abs(out.at(x, y) - exact[y][x]));
            }
        }
        return worst;
    }

    @ParameterizedTest
    @ValueSource(
            doubles = {
                0.3, 0.5, 0.8, 1, 1.7, 2.5, 3.5, 3.99, 4, 4.4, 5, 5.99, 6, 7.5, 8, 11, 16, 20, 33,
                50, 80, 120, 200
            })
    void aGaussianOfAnySizeMatchesTheExactOne(double sigma) {
        Plane in = hard(91, 70);
        for (EdgeFill fill : EdgeFill.values()) {
            Plane out = Gaussian.of(in, sigma, sigma, fill, WORKERS).toPlane(WORKERS);
            assertThat(worst(out, Exact.gaussian(in, sigma, sigma, fill)))
                    .as(fill.toString())
                    .isLessThan(2e-3);
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 2.2", "2.2, 0", "9, 0", "0, 9", "1.3, 14", "14, 1.3", "5, 40"})
    void theTwoDirectionsAreIndependent(double sigmaX, double sigmaY) {
        Plane in = hard(83, 64);
        Plane out = Gaussian.of(in, sigmaX, sigmaY, EdgeFill.MIRROR, WORKERS).toPlane(WORKERS);
        assertThat(worst(out, Exact.gaussian(in, sigmaX, sigmaY, EdgeFill.MIRROR)))
                .isLessThan(2e-3);
    }

    @Test
    void aFlatPictureStaysFlatAndAWrappedOneKeepsItsMean() {
        for (double sigma : new double[] {0.7, 3, 6, 45}) {
            Plane flat = Plane.flat(60, 50, 0.37f);
            Plane out = Gaussian.of(flat, sigma, sigma, EdgeFill.REPEAT, WORKERS).toPlane(WORKERS);
            for (float v : out.data()) {
                assertThat(v).isCloseTo(0.37f, within(1e-6f));
            }
            Plane in = hard(64, 64);
            Plane wrapped = Gaussian.of(in, sigma, sigma, EdgeFill.WRAP, WORKERS).toPlane(WORKERS);
            assertThat(mean(wrapped)).isCloseTo(mean(in), within(2e-5));
        }
    }

    private static double mean(Plane plane) {
        double sum = 0;
        for (float v : plane.data()) {
            sum += v;
        }
        return sum / plane.data().length;
    }

    @ParameterizedTest
    @CsvSource({"1, 1", "3, 3", "5, 7", "4.4, 1", "1, 6.5", "21, 33.7", "150, 90.2", "2.1, 60"})
    void aBoxIsTheMeanOfItsWindowWithFractionalEnds(double across, double down) {
        Plane in = Pictured.noise(67, 45, 3);
        for (EdgeFill fill : EdgeFill.values()) {
            Plane out = BoxFilter.of(in, across, down, fill).toPlane(WORKERS);
            for (int y = 0; y < 45; y += 4) {
                for (int x = 0; x < 67; x += 3) {
                    double sum = 0;
                    int rx = (int) Math.ceil((across - 1) / 2);
                    int ry = (int) Math.ceil((down - 1) / 2);
                    for (int j = -ry; j <= ry; j++) {
                        for (int i = -rx; i <= rx; i++) {
                            sum +=
                                    share(i, across)
                                            * share(j, down)
                                            * Exact.at(in, x + i, y + j, fill);
                        }
                    }
                    assertThat((double) out.at(x, y))
                            .isCloseTo(sum / (across * down), within(2e-6));
                }
            }
        }
    }

    /** The overlap of pixel {@code i} with a window centred at 0. */
    private static double share(int i, double width) {
        return Math.clamp(width / 2 + 0.5 - Math.abs(i), 0, 1);
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.5, 0.6, 1, 2.5, 4, 7.3})
    void aPointBecomesADiscWithAreaCoverage(double radius) {
        Plane point = Plane.of(31, 31);
        point.data()[15 * 31 + 15] = 1;
        Plane out = new DiscMean(point, radius, EdgeFill.EMPTY).toPlane(WORKERS);
        double sum = 0;
        for (int y = 0; y < 31; y++) {
            for (int x = 0; x < 31; x++) {
                double wanted = counted(x - 15, y - 15, radius) / (Math.PI * radius * radius);
                assertThat((double) out.at(x, y))
                        .as("%d, %d", x, y)
                        .isCloseTo(wanted, within(2e-3));
                assertThat(out.at(x, y)).as("a quarter turn").isEqualTo(out.at(30 - y, x));
                sum += out.at(x, y);
            }
        }
        assertThat(sum).isCloseTo(1, within(1e-5));
    }

    /** The overlap of a pixel with a disc, by counting many points. */
    private static double counted(int x, int y, double radius) {
        int n = 400;
        int in = 0;
        for (int j = 0; j < n; j++) {
            for (int i = 0; i < n; i++) {
                double px = x - 0.5 + (i + 0.5) / n;
                double py = y - 0.5 + (j + 0.5) / n;
                in += px * px + py * py < radius * radius ? 1 : 0;
            }
        }
        return (double) in / n / n;
    }

    @Test
    void aDiscBlurIsTheMeanOverTheDisc() {
        Plane in = Pictured.noise(41, 33, 9);
        Plane out = new DiscMean(in, 3.3, EdgeFill.WRAP).toPlane(WORKERS);
        for (int y = 0; y < 33; y += 8) {
            for (int x = 0; x < 41; x += 10) {
                double sum = 0;
                for (int j = -4; j <= 4; j++) {
                    for (int i = -4; i <= 4; i++) {
                        sum += counted(i, j, 3.3) * Exact.at(in, x + i, y + j, EdgeFill.WRAP);
                    }
                }
                assertThat((double) out.at(x, y))
                        .isCloseTo(sum / (Math.PI * 3.3 * 3.3), within(1e-3));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(EdgeFill.class)
    void aDirectionalBlurEqualsTheLineIntegral(EdgeFill fill) {
        Plane in = Pictured.smooth(80, 60, 0.4);
        double sigma = 5;
        double angle = 33;
        Plane out =
                Shear.line(
                                in,
                                angle,
                                4 * sigma,
                                fill,
                                WORKERS,
                                (p, rows, stretch) ->
                                        Gaussian.of(
                                                p,
                                                rows ? sigma * stretch : 0,
                                                rows ? 0 : sigma * stretch,
                                                fill,
                                                WORKERS))
                        .toPlane(WORKERS);
        ScatteredSamples samples = new ScatteredSamples(in, 1, fill, Sampler.CUBIC);
        for (int y = 24; y < 36; y += 3) {
            for (int x = 30; x < 50; x += 4) {
                double sum = 0;
                double norm = 0;
                float[] one = new float[1];
                for (double t = -25; t <= 25; t += 0.5) {
                    double w = Math.exp(-t * t / (2 * sigma * sigma));
                    double a = Math.toRadians(angle);
                    samples.at(
                            new double[] {x + 0.5 + t * Math.cos(a)},
                            new double[] {y + 0.5 + t * Math.sin(a)},
                            1,
                            one,
                            0);
                    sum += w * one[0];
                    norm += w;
                }
                assertThat((double) out.at(x, y)).isCloseTo(sum / norm, within(3e-3));
            }
        }
    }

    @Test
    void anyNumberOfThreadsGivesTheSameBits() {
        Plane in = Pictured.noise(301, 257, 6);
        same(w -> Gaussian.of(in, 2.2, 3.1, EdgeFill.WRAP, w));
        same(w -> Gaussian.of(in, 12, 30, EdgeFill.MIRROR, w));
        same(w -> BoxFilter.of(in, 31.5, 44, EdgeFill.REPEAT));
        same(w -> new DiscMean(in, 6.5, EdgeFill.EMPTY));
        same(w -> Morphology.DILATION.of(in, 4.5, true, EdgeFill.EMPTY, w));
        same(w -> Morphology.EROSION.of(in, 9, false, EdgeFill.WRAP, w));
        same(w -> new Median(in, 2, EdgeFill.MIRROR));
    }

    private static void same(Function<Workers, Rows> filter) {
        Workers single = new Workers(1);
        Plane one = filter.apply(single).toPlane(single);
        for (int threads : new int[] {2, 7}) {
            try (Workers workers = new Workers(threads)) {
                assertThat(filter.apply(workers).toPlane(workers).sameSamples(one)).isTrue();
            }
        }
    }
}
