package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.Random;

/** Against the convolution with the sampled, normalised 2D kernel in double precision. */
class RotatedGaussianTest {
    private static final Workers WORKERS = Workers.shared();
    private static final int WIDTH = 61;
    private static final int HEIGHT = 49;

    /**
     * The step between the rows that are checked, because the exact sums are slow; the first and last row are
     * included.
     */
    private static final int EVERY = 4;

    private static Plane hard() {
        Random random = new Random(5);
        float[] samples = new float[WIDTH * HEIGHT];
        for (int i = 0; i < samples.length; i++) {
            int x = i % WIDTH;
            samples[i] = x > WIDTH * 2 / 3 ? 1 : x > WIDTH / 3 ? random.nextInt(2) : 0;
        }
        return Plane.of(WIDTH, HEIGHT, samples);
    }

    private static double[][] exact(
            Plane in, double along, double across, double degrees, EdgeFill fill) {
        double c = Math.cos(Math.toRadians(degrees));
        double s = Math.sin(Math.toRadians(degrees));
        int radius = (int) Math.ceil(4.5 * Math.max(along, across));
        int side = 2 * radius + 1;
        double[] weights = new double[side * side];
        double sum = 0;
        for (int y = -radius; y <= radius; y++) {
            for (int x = -radius; x <= radius; x++) {
                double u = (x * c + y * s) / along;
                double v = (-x * s + y * c) / across;
                double w = Math.exp(-0.5 * (u * u + v * v));
                weights[(y + radius) * side + x + radius] = w;
                sum += w;
            }
        }
        double[][] out = new double[HEIGHT][WIDTH];
        for (int y = 0; y < HEIGHT; y += EVERY) {
            for (int x = 0; x < WIDTH; x++) {
                double total = 0;
                for (int j = -radius; j <= radius; j++) {
                    for (int i = -radius; i <= radius; i++) {
                        double w = weights[(j + radius) * side + i + radius];
                        if (w > 1e-9 * sum / side) {
                            total += w * Exact.at(in, x + i, y + j, fill);
                        }
                    }
                }
                out[y][x] = total / sum;
            }
        }
        return out;
    }

    @ParameterizedTest
    @CsvSource({
        "3, 1.5, 45", "8, 0.4, 45", "8, 0.4, 44", "20, 1, 45", "20, 1, 30", "20, 1, 60",
        "20, 1, 3", "20, 1, 87", "20, 1, 120", "20, 1, -20", "12, 6, 10", "12, 6, 75",
        "1, 12, 45", "5, 14, 135", "6, 0.3, 45", "6, 0.3, 20", "16, 0.8, 33", "24, 1.2, 52",
        "9, 9.001, 20", "2, 0.9, 301", "3, 3.5, 70"
    })
    void theBlurMatchesTheExactOneAtEveryAngleAndRatio(
            double along, double across, double degrees) {
        Plane in = hard();
        for (EdgeFill fill : EdgeFill.values()) {
            Plane out =
                    RotatedGaussian.of(in, along, across, degrees, fill, WORKERS).toPlane(WORKERS);
            double[][] wanted = exact(in, along, across, degrees, fill);
            double worst = 0;
            for (int y = 0; y < HEIGHT; y += EVERY) {
                for (int x = 0; x < WIDTH; x++) {
                    worst = Math.max(worst, Math.abs(out.at(x, y) - wanted[y][x]));
                }
            }
            assertThat(worst).as(fill.toString()).isLessThan(2e-3);
        }
    }

    /** A former fault: every second pixel around a point of light stayed dark. */
    @Test
    void aPointOfLightAt45DegreesHasNoHoles() {
        Plane point = Plane.of(61, 61);
        point.data()[30 * 61 + 30] = 1;
        Plane out = RotatedGaussian.of(point, 8, 3, 45, EdgeFill.EMPTY, WORKERS).toPlane(WORKERS);
        double peak = 1 / (2 * Math.PI * 8 * 3);
        assertThat((double) out.at(30, 30)).isCloseTo(peak, within(peak * 0.02));
        for (int i = -4; i <= 4; i++) {
            double u = i / Math.sqrt(2) / 8;
            double v = i / Math.sqrt(2) / 3;
            assertThat((double) out.at(30 + i, 30))
                    .isCloseTo(peak * Math.exp(-0.5 * (u * u + v * v)), within(peak * 0.02));
        }
    }
}
