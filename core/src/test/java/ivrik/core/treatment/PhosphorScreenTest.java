package ivrik.core.treatment;

import static ivrik.core.treatment.Whole.light;
import static ivrik.core.treatment.Whole.meanLight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Phosphor screens: the light that they compensate, and their unwanted patterns. */
class PhosphorScreenTest {
    private static final int W = 320;
    private static final int H = 200;
    private static final String[] MASKS = {"aperture grille", "slot mask", "shadow mask"};
    private static final double[] PITCHES = {1.2, 2.2, 3, 4.4, 7.3, 12, 20.5, 41};

    private static Map<String, Double> numbers(double mask, double pitch, double scan) {
        return Map.of(
                "mask-strength", mask, "pitch", pitch, "scanline-depth", scan, "scanlines", 60.0);
    }

    private static List<Plane> shown(
            List<Plane> picture, Map<String, Double> numbers, String mask, String brightness) {
        return Whole.done(
                new PhosphorScreen(),
                picture,
                numbers,
                Map.of("phosphor-mask", mask, "compensation", brightness));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.1, 0.46, 0.9})
    void aFlatGreyKeepsItsBrightnessUnclipped(double grey) {
        List<Plane> flat = Whole.flat(W, H, grey);
        for (String mask : MASKS) {
            for (double pitch : PITCHES) {
                for (double scan : new double[] {0, 70}) {
                    List<Plane> done = shown(flat, numbers(100, pitch, scan), mask, "compensated");
                    for (Plane plane : done) {
                        assertThat(meanLight(plane) / light(grey))
                                .as("%s of %s px, lines %s", mask, pitch, scan)
                                .isCloseTo(1, within(0.005));
                        for (float v : plane.data()) {
                            assertThat(v).isBetween(-0.02f, 1.002f);
                        }
                    }
                }
            }
        }
    }

    @Test
    void aCustomMaskIsCompensatedByItsMean() {
        Frame own = Pictured.frame(13, 7);
        List<Plane> back = masked(own, "compensated");
        List<Plane> taken = masked(own, "uncompensated");
        for (int c = 0; c < 3; c++) {
            assertThat(meanLight(back.get(c)) / light(0.4)).isCloseTo(1, within(0.005));
            Plane mask = own.colour().get(c);
            for (int x = 0; x < W; x++) {
                assertThat(light(taken.get(c).at(x, 10)))
                        .isCloseTo(light(0.4) * mask.at(x % 13, 10 % 7), within(1e-4));
            }
        }
    }

    private static List<Plane> masked(Frame own, String brightness) {
        Map<String, String> words =
                Map.of("phosphor-mask", "custom image", "compensation", brightness);
        Settings settings = Whole.settings(new PhosphorScreen(), numbers(100, 6, 0), words, 0);
        return Whole.done(new PhosphorScreen(), Whole.flat(W, H, 0.4), settings, Optional.of(own));
    }

    /** Red, green and blue have a third of the pitch each, in this order. */
    @Test
    void aGrilleHasThreeStripesPerPitch() {
        List<Plane> done =
                shown(
                        Whole.flat(W, H, 0.3),
                        numbers(100, 12, 0),
                        "aperture grille",
                        "uncompensated");
        for (int c = 0; c < 3; c++) {
            Plane plane = done.get(c);
            double on = light(plane.at(24 + 4 * c + 1, 50)) + light(plane.at(24 + 4 * c + 2, 50));
            double off =
                    light(plane.at(24 + (4 * c + 7) % 12, 50))
                            + light(plane.at(24 + (4 * c + 8) % 12, 50));
            assertThat(on / (2 * light(0.3))).isGreaterThan(0.8);
            assertThat(off / (2 * light(0.3))).isLessThan(0.05);
        }
    }

    /**
     * The discrete Fourier transform of a row of an aperture grille: only the mean below the grille's own
     * frequency, at any pitch. Unfiltered stripes would beat against the pixels.
     */
    @ParameterizedTest
    @ValueSource(doubles = {1.07, 1.3, 1.9, 2.15, 2.9, 3.1, 4.3, 6.2})
    void thereIsNoMoireAtAnyPitch(double pitch) {
        List<Plane> done =
                shown(
                        Whole.flat(W, 8, 0.3),
                        numbers(100, pitch, 0),
                        "aperture grille",
                        "uncompensated");
        double mean = 0;
        for (int x = 0; x < W; x++) {
            mean += light(done.getFirst().at(x, 3)) / W;
        }
        double lowest = Math.min(0.5, 1 / pitch) - 3.0 / W;
        for (int k = 4; (double) k / W < lowest; k++) {
            assertThat(strength(done.getFirst(), k) / mean).as("%s cycles", k).isLessThan(0.03);
        }
    }

    /** Twice the magnitude of one Fourier component of a row, under a Hann window. */
    private static double strength(Plane plane, int k) {
        double real = 0;
        double imaginary = 0;
        for (int x = 0; x < W; x++) {
            double window = 1 - Math.cos(2 * Math.PI * (x + 0.5) / W);
            double v = window * light(plane.at(x, 3));
            real += v * Math.cos(2 * Math.PI * k * x / W);
            imaginary += v * Math.sin(2 * Math.PI * k * x / W);
        }
        return 2 * Math.hypot(real, imaginary) / W;
    }

    /** A dim grey in lines: the Gaussian of the beam, summed over all lines. */
    @Test
    void linesAreAsWideAsTheBeam() {
        Map<String, Double> numbers =
                Map.of(
                        "scanline-depth",
                        100.0,
                        "scanlines",
                        4.0,
                        "beam",
                        50.0,
                        "mask-strength",
                        0.0);
        double grey = 0.2;
        Plane plane =
                shown(Whole.flat(4, H, grey), numbers, "aperture grille", "compensated").getFirst();
        double period = H / 4.0;
        double sigma = 0.25;
        for (int y = 0; y < H; y += 7) {
            double at = (y + 0.5) / period - 0.5;
            double sum = 0;
            for (int line = -6; line < 10; line++) {
                double t = (at - line) / sigma;
                sum += Math.exp(-t * t / 2) / (sigma * Math.sqrt(2 * Math.PI));
            }
            assertThat(light(plane.at(1, y)) / light(grey)).isCloseTo(sum, within(0.01));
        }
    }

    /**
     * A point at radius r is drawn where r (1 - curve r^2) equals its radius, in half diagonals, as with a
     * lens.
     */
    @ParameterizedTest
    @CsvSource({"10", "25"})
    void theMaskFollowsTheCurvature(double curve) {
        Map<String, Double> numbers =
                Map.of(
                        "mask-strength",
                        100.0,
                        "pitch",
                        24.0,
                        "curvature",
                        curve,
                        "scanline-depth",
                        0.0);
        Plane bulged =
                shown(Whole.flat(W, H, 0.3), numbers, "aperture grille", "uncompensated")
                        .getFirst();
        Plane flat =
                shown(
                                Whole.flat(W, H, 0.3),
                                Map.of("mask-strength", 100.0, "pitch", 24.0),
                                "aperture grille",
                                "uncompensated")
                        .getFirst();
        double half = Math.hypot(W, H) / 2;
        int y = H / 2;
        double worst = 0;
        double moved = 0;
        for (int x = 200; x < 300; x++) {
            double r = (x + 0.5 - W / 2.0) / half;
            double to = W / 2.0 + half * r * (1 - curve / 100 * r * r) - 0.5;
            int left = (int) to;
            double there =
                    bulged.at(left, y)
                            + (to - left) * (bulged.at(left + 1, y) - bulged.at(left, y));
            worst = Math.max(worst, Math.abs(flat.at(x, y) - there));
            moved = Math.max(moved, Math.abs(flat.at(x, y) - bulged.at(x, y)));
        }
        assertThat(worst).isLessThan(0.06);
        assertThat(moved).isGreaterThan(0.1);
    }

    /** At the pitch that the notice names, the mask is as visible as at any larger pitch. */
    @ParameterizedTest
    @CsvSource({"1, 1.9, is not visible, 2.5", "1, 2.4, is faded, 2.5", "0.5, 4.4, is faded, 5.0"})
    void tooFineAPitchIsReportedWithTheNextUsableOne(
            double scale, double pitch, String how, double clean) {
        assertThat(advice(pitch, scale).orElseThrow()).contains(how, clean + " px");
        assertThat(advice(clean, scale)).isEmpty();
        assertThat(contrast(pitch * scale)).isLessThan(0.9 * contrast(clean * scale));
    }

    @Test
    void tooManyLinesAreReported() {
        PhosphorScreen phosphors = new PhosphorScreen();
        Settings settings =
                Whole.settings(
                        phosphors, Map.of("scanline-depth", 50.0, "scanlines", 100.0), Map.of(), 0);
        assertThat(phosphors.advice(settings, new Size(W, H), 1).orElseThrow())
                .contains("100 scanlines", "80 or fewer");
        assertThat(phosphors.advice(settings, new Size(W, 250), 1)).isEmpty();
    }

    private static Optional<String> advice(double pitch, double scale) {
        PhosphorScreen phosphors = new PhosphorScreen();
        return phosphors.advice(
                Whole.settings(phosphors, numbers(80, pitch, 0), Map.of(), 0),
                new Size(W, H),
                scale);
    }

    /** The difference between the brightest and the darkest red along a row of grey. */
    private static double contrast(double pitchPx) {
        Plane red =
                shown(
                                Whole.flat(W, H, 0.4),
                                numbers(80, pitchPx, 0),
                                "aperture grille",
                                "compensated")
                        .get(0);
        float[] row = java.util.Arrays.copyOf(red.data(), W);
        java.util.Arrays.sort(row);
        return row[W - 1] - row[0];
    }
}
