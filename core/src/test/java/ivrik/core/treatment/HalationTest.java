package ivrik.core.treatment;

import static ivrik.core.treatment.Whole.code;
import static ivrik.core.treatment.Whole.light;
import static ivrik.core.treatment.Whole.meanLight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.filter.Halo;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Map;

/** Glow around highlights, against sums by definition. */
class HalationTest {
    private static final int SIDE = 301;
    private static final int MIDDLE = SIDE / 2;
    private static final double DISC = 6;

    private static final Map<String, Double> SHOWN =
            Map.of("strength", 60.0, "radius", 40.0, "threshold", 1.0);

    private static Map<String, Double> with(String name, double value) {
        Map<String, Double> all = new java.util.HashMap<>(SHOWN);
        all.put(name, value);
        return all;
    }

    /** A white disc on black with edges by area coverage. */
    private static Plane disc() {
        Plane plane = Plane.of(SIDE, SIDE);
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < SIDE; x++) {
                double far = Math.hypot(x - MIDDLE, y - MIDDLE);
                double in = Math.clamp(DISC - far + 0.5, 0, 1);
                plane.data()[plane.row(y) + x] = (float) code(in);
            }
        }
        return plane;
    }

    private static List<Plane> discs() {
        Plane disc = disc();
        return List.of(disc, disc, disc);
    }

    @Test
    void theRingIsOrangeInsideAndRedOutside() {
        List<Plane> done = Whole.done(new Halation(), discs(), SHOWN, Map.of());
        double before = 0;
        for (int far : new int[] {9, 14, 20, 28, 36}) {
            double red = light(done.get(0).at(MIDDLE + far, MIDDLE));
            double green = light(done.get(1).at(MIDDLE + far, MIDDLE));
            double blue = light(done.get(2).at(MIDDLE + far, MIDDLE));
            assertThat(red).isGreaterThan(green).isPositive();
            assertThat(green).isGreaterThan(blue);
            assertThat(red / green).as("redder further out").isGreaterThan(before);
            before = red / green;
        }
    }

    /**
     * Convolution in linear light with the kernel written out: a Gaussian, or exp(-r/l), normalised.
     */
    @ParameterizedTest
    @CsvSource({"0, 0.0005", "100, 0.012", "50, 0.008"})
    void theProfileMatchesTheTail(double tail, double tolerance) {
        double radius = 40;
        Map<String, Double> numbers = with("tail", tail);
        Plane red = Whole.done(new Halation(), discs(), numbers, Map.of()).getFirst();
        double sigma = radius / 2;
        double length = sigma / Math.sqrt(3);
        double threshold = 0.18 * 2;
        double low = threshold / Math.sqrt(2);
        double high = threshold * Math.sqrt(2);
        double share = tail / 100;
        double peak = expected(9, sigma, length, share, low, high);
        for (int far : new int[] {9, 12, 18, 26, 40, 60}) {
            double made = light(red.at(MIDDLE + far, MIDDLE));
            double exact = expected(far, sigma, length, share, low, high);
            assertThat(made).as("at %s", far).isCloseTo(0.6 * exact, within(tolerance * peak));
        }
    }

    private static double expected(
            int far, double sigma, double length, double share, double low, double high) {
        double sum = 0;
        Plane disc = disc();
        for (int y = MIDDLE - 8; y <= MIDDLE + 8; y++) {
            for (int x = MIDDLE - 8; x <= MIDDLE + 8; x++) {
                double v = light(disc.at(x, y));
                double above =
                        v < low
                                ? 0
                                : v < high
                                        ? (v - low) * (v - low) / (2 * (high - low))
                                        : v - (low + high) / 2;
                double r = Math.hypot(x - MIDDLE - far, y - MIDDLE);
                double gauss =
                        Math.exp(-r * r / (2 * sigma * sigma)) / (2 * Math.PI * sigma * sigma);
                double tail = Math.exp(-r / length) / (2 * Math.PI * length * length);
                sum += above * ((1 - share) * gauss + share * tail);
            }
        }
        return sum;
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.2, 0.5, 0.93})
    void darkAndFlatPicturesStayBitExact(double value) {
        List<Plane> flat = Whole.flat(64, 48, value);
        Plane dim = PlaneArithmetic.scale(Pictured.noise(64, 48, 4), 0.5f, Workers.shared());
        for (List<Plane> picture : List.of(flat, List.of(dim, dim, dim))) {
            List<Plane> done = Whole.done(new Halation(), picture, SHOWN, Map.of());
            for (int c = 0; c < 3; c++) {
                assertThat(done.get(c).sameSamples(picture.get(c))).isTrue();
            }
        }
    }

    @Test
    void energyConservationKeepsTheMeanLight() {
        double before = meanLight(disc());
        List<Plane> kept =
                Whole.done(new Halation(), discs(), with("conserve-energy", 100), Map.of());
        List<Plane> added = Whole.done(new Halation(), discs(), SHOWN, Map.of());
        for (int c = 0; c < 3; c++) {
            assertThat(meanLight(kept.get(c)) / before).isCloseTo(1, within(0.005));
        }
        assertThat(meanLight(added.get(0)) / before).isGreaterThan(1.1);
    }

    /** The energy within any radius r is that of exp(-r/l): 1 - e^-r/l (1 + r/l). */
    @Test
    void theTailHasTheEnergyOfAnExponential() {
        Plane point = Plane.of(SIDE, SIDE);
        point.data()[point.row(MIDDLE) + MIDDLE] = 1;
        double sigma = 24;
        double length = sigma / Math.sqrt(3);
        Plane spread =
                Halo.of(Rows.of(point), sigma, 1, EdgeFill.EMPTY, Workers.shared())
                        .toPlane(Workers.shared());
        for (double radius : new double[] {5, 10, 20, 40, 80}) {
            double within = 0;
            for (int y = 0; y < SIDE; y++) {
                for (int x = 0; x < SIDE; x++) {
                    within += Math.hypot(x - MIDDLE, y - MIDDLE) <= radius ? spread.at(x, y) : 0;
                }
            }
            double exact = 1 - Math.exp(-radius / length) * (1 + radius / length);
            assertThat(within).isCloseTo(exact, within(0.02));
        }
    }
}
