package ivrik.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.Random;

/** A lens of known coefficients, rendered into pictures by formula, is measured. */
class LensMatchTest {
    private static final int W = 480;
    private static final int H = 270;
    private static final double HALF = Math.hypot(W, H) / 2;

    /** Random soft discs seen through a lens: each output position shows its source position. */
    private static Plane scene(double k0, double k1, double gain, double noise, long seed) {
        return scene(1, k0, k1, gain, noise, seed);
    }

    /**
     * @param times the enlargement in both directions; edges stay equally soft
     */
    private static Plane scene(
            int times, double k0, double k1, double gain, double noise, long seed) {
        int w = times * W;
        int h = times * H;
        double half = times * HALF;
        Random random = new Random(11);
        double[][] discs = new double[110][4];
        for (double[] disc : discs) {
            disc[0] = random.nextDouble() * w;
            disc[1] = random.nextDouble() * h;
            disc[2] = times * (6 + 20 * random.nextDouble());
            disc[3] = random.nextDouble() - 0.4;
        }
        Random grain = new Random(seed);
        Plane plane = Plane.of(w, h);
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                double dx = x + 0.5 - w / 2.0;
                double dy = y + 0.5 - h / 2.0;
                double back = back(Math.hypot(dx, dy) / half, k0, k1);
                double px = w / 2.0 + dx * back;
                double py = h / 2.0 + dy * back;
                double v = 0.4;
                for (double[] disc : discs) {
                    double far = Math.hypot(px - disc[0], py - disc[1]) - disc[2];
                    if (far < 8) {
                        v += disc[3] / (1 + Math.exp(2 * far));
                    }
                }
                plane.data()[plane.row(y) + x] =
                        (float) (gain * Math.clamp(v, 0, 1) + noise * grain.nextGaussian());
            }
        }
        return plane;
    }

    /** The source radius of an output radius {@code r}, by Newton's method. */
    private static double back(double r, double k0, double k1) {
        double s = r;
        for (int i = 0; i < 20; i++) {
            s -= (s * (1 + k0 + k1 * s * s) - r) / (1 + k0 + 3 * k1 * s * s);
        }
        return r == 0 ? 1 / (1 + k0) : s / r;
    }

    @ParameterizedTest
    @CsvSource({
        "0.004, 0, 0, 0.1",
        "0, 0.008, 0, 0.1",
        "-0.006, 0.004, 0, 0.1",
        "0.015, -0.006, 0, 0.1",
        "0.004, 0.003, 0.02, 0.2",
        "-0.008, 0, 0.02, 0.2"
    })
    void theDisplacementAtTheCornerIsRecovered(
            double k0, double k1, double noise, double tolerance) {
        Plane held = scene(0, 0, 1, noise, 1);
        Plane other = scene(k0, k1, 0.8, noise, 2);
        LensMatch.Fit fit = LensMatch.between(held, other, Workers.shared()).orElseThrow();
        double corner = HALF * (k0 + k1);
        assertThat(fit.cornerPx()).isCloseTo(corner, within(tolerance));
        assertThat(Math.abs(fit.cornerPx() - corner)).isLessThan(5 * fit.surePx());
        for (double r : new double[] {0.3, 0.6, 0.9}) {
            assertThat(HALF * fit.out(r))
                    .isCloseTo(HALF * r * (k0 + k1 * r * r), within(tolerance));
        }
    }

    /** A displacement of twenty edge widths is found and not mistaken for a smaller one. */
    @Test
    void wideDisplacementsAreRecovered() {
        double k0 = 0.03;
        double k1 = -0.01;
        Plane held = scene(3, 0, 0, 1, 0, 1);
        Plane other = scene(3, k0, k1, 1, 0, 2);
        LensMatch.Fit fit = LensMatch.between(held, other, Workers.shared()).orElseThrow();
        assertThat(fit.cornerPx()).isCloseTo(3 * HALF * (k0 + k1), within(0.1));
        LensMatch.Point middle = fit.curve().get(fit.curve().size() / 2);
        assertThat(middle.outPx())
                .isCloseTo(
                        3 * HALF * middle.r() * (k0 + k1 * middle.r() * middle.r()), within(0.1));
        assertThat(middle.surePx()).isBetween(0.0, 0.1);
    }

    @Test
    void aFlatPictureIsRefused() {
        Plane flat = Plane.flat(W, H, 0.4f);
        assertThat(LensMatch.between(flat, flat, Workers.shared())).isEmpty();
        assertThat(
                        LensMatch.between(
                                Pictured.noise(W, H, 1), Pictured.noise(W, H, 2), Workers.shared()))
                .isEmpty();
    }
}
