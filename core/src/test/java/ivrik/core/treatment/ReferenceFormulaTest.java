package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.motion.RandomKey;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Settings.Moment;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.HashMap;
import java.util.Map;

/** Treatments of a small plane against their definitions in double precision. */
class ReferenceFormulaTest {
    private static final int WIDTH = 34;
    private static final int HEIGHT = 25;

    private final Plane in = Pictured.noise(WIDTH, HEIGHT, 12);

    /** A position relative to the middle of the picture. */
    private interface Place {
        double[] at(double x, double y);
    }

    private static Plane treated(
            ChannelTreatment treatment,
            Plane in,
            Map<String, Double> numbers,
            Map<String, String> words,
            EdgeFill fill,
            Moment moment) {
        Settings rest = Treating.settings(treatment, numbers, words, fill);
        Settings settings = new Settings(rest.numbers(), words, fill, Sampler.LINEAR, moment);
        return Treating.treated(treatment, in, settings, 1);
    }

    private Plane treated(
            ChannelTreatment treatment,
            Map<String, Double> numbers,
            Map<String, String> words,
            EdgeFill fill) {
        return treated(treatment, in, numbers, words, fill, Moment.ANY);
    }

    /** The bilinear value at a position relative to the middle. */
    private double value(double[] place, EdgeFill fill) {
        double px = place[0] + WIDTH / 2.0 - 0.5;
        double py = place[1] + HEIGHT / 2.0 - 0.5;
        int i = (int) Math.floor(px);
        int j = (int) Math.floor(py);
        double u = px - i;
        double v = py - j;
        return (1 - v) * ((1 - u) * pixel(i, j, fill) + u * pixel(i + 1, j, fill))
                + v * ((1 - u) * pixel(i, j + 1, fill) + u * pixel(i + 1, j + 1, fill));
    }

    private double pixel(int x, int y, EdgeFill fill) {
        int i = fill.inside(x, WIDTH);
        int j = fill.inside(y, HEIGHT);
        return i < 0 || j < 0 ? 0 : in.at(i, j);
    }

    /** Asserts that each pixel is the mean of several positions. */
    private void isTheMean(Plane out, EdgeFill fill, Place... places) {
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                double sum = 0;
                for (Place place : places) {
                    sum += value(place.at(x + 0.5 - WIDTH / 2.0, y + 0.5 - HEIGHT / 2.0), fill);
                }
                assertThat((double) out.at(x, y))
                        .as("%d %d", x, y)
                        .isCloseTo(sum / places.length, within(1e-5));
            }
        }
    }

    @ParameterizedTest
    @EnumSource(EdgeFill.class)
    void aScaleKeepsItsCentre(EdgeFill fill) {
        Map<String, Double> numbers =
                Map.of("x", 130.0, "y", 80.0, "centre-x", 4.0, "centre-y", -3.0);
        isTheMean(
                treated(new Scale(), numbers, Map.of(), fill),
                fill,
                (x, y) -> new double[] {4 + (x - 4) / 1.3, -3 + (y + 3) / 0.8});
    }

    @ParameterizedTest
    @EnumSource(EdgeFill.class)
    void aRotationIsClockwiseAboutItsCentre(EdgeFill fill) {
        double a = Math.toRadians(17);
        Map<String, Double> numbers = Map.of("angle", 17.0, "centre-x", -5.0, "centre-y", 2.0);
        isTheMean(
                treated(new Rotate(), numbers, Map.of(), fill),
                fill,
                (x, y) ->
                        new double[] {
                            -5 + Math.cos(a) * (x + 5) + Math.sin(a) * (y - 2),
                            2 - Math.sin(a) * (x + 5) + Math.cos(a) * (y - 2)
                        });
    }

    @Test
    void aFlipMirrorsEitherDirection() {
        Plane out = treated(new Flip(), Map.of("across", 1.0), Map.of(), EdgeFill.EMPTY);
        Plane both =
                treated(new Flip(), Map.of("across", 1.0, "down", 1.0), Map.of(), EdgeFill.EMPTY);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                assertThat(out.at(x, y)).isEqualTo(in.at(WIDTH - 1 - x, y));
                assertThat(both.at(x, y)).isEqualTo(in.at(WIDTH - 1 - x, HEIGHT - 1 - y));
            }
        }
    }

    /**
     * Ten pixels at the corner give eleven copies, evenly spaced from five pixels inward to five outward.
     */
    @ParameterizedTest
    @EnumSource(EdgeFill.class)
    void aZoomBlurIsTheMeanOfEnlargements(EdgeFill fill) {
        double corner = Math.hypot(WIDTH, HEIGHT) / 2;
        Place[] places = new Place[11];
        for (int k = 0; k < 11; k++) {
            double by = 1 + 10 * ((k + 0.5) / 11 - 0.5) / corner;
            places[k] = (x, y) -> new double[] {3 + (x - 3) / by, y / by};
        }
        isTheMean(
                treated(new ZoomBlur(), Map.of("length", 10.0, "centre-x", 3.0), Map.of(), fill),
                fill,
                places);
    }

    @ParameterizedTest
    @EnumSource(EdgeFill.class)
    void aSpinBlurIsTheMeanOfRotations(EdgeFill fill) {
        double corner = Math.hypot(WIDTH, HEIGHT) / 2;
        int n = (int) Math.ceil(Math.toRadians(20) * corner) + 1;
        Place[] places = new Place[n];
        for (int k = 0; k < n; k++) {
            double a = Math.toRadians(20 * ((k + 0.5) / n - 0.5));
            places[k] =
                    (x, y) ->
                            new double[] {
                                Math.cos(a) * x + Math.sin(a) * y,
                                -Math.sin(a) * x + Math.cos(a) * y
                            };
        }
        isTheMean(treated(new SpinBlur(), Map.of("sweep", 20.0), Map.of(), fill), fill, places);
    }

    /**
     * A bright vertical line spread along the rows by whole pixels shows the share of the channel at each
     * wavelength: the fit of the colour matching functions with the matrix of IEC 61966-2-1 as printed there.
     */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void aSpectrumHasTheWeightsOfTheEye(int channel) {
        double[][] toRgb = {
            {3.2406, -1.5372, -0.4986}, {-0.9689, 1.8758, 0.0415}, {0.0557, -0.2040, 1.0570}
        };
        int n = 9;
        double[] weights = new double[n];
        double sum = 0;
        for (int k = 0; k < n; k++) {
            double nm = 420 + 240 * (k + 0.5) / n;
            double[] xyz = matching(nm);
            for (int c = 0; c < 3; c++) {
                weights[k] += toRgb[channel][c] * xyz[c];
            }
            weights[k] = Math.max(0, weights[k]);
            sum += weights[k];
        }
        Plane upright = Plane.of(31, 1);
        upright.data()[15] = 1;
        Settings settings =
                Treating.settings(
                        new Dispersion(),
                        Map.of("length", (double) n, "samples", (double) n),
                        Map.of("direction", "along an angle"),
                        EdgeFill.EMPTY);
        Context context =
                new Context(
                        1, Treating.channel(channel), java.util.Optional.empty(), Workers.shared());
        Plane out = new Dispersion().apply(upright, settings, context).toPlane(Workers.shared());
        for (int k = 0; k < n; k++) {
            assertThat((double) out.at(15 + k - n / 2, 0))
                    .as("%d", k)
                    .isCloseTo(weights[k] / sum, within(1e-3));
        }
    }

    /** An edge through a long spectrum has no steps: neighbouring pixels differ little. */
    @ParameterizedTest
    @ValueSource(doubles = {60, 400})
    void aSpectrumHasNoGapsAtAnyLength(double length) {
        Plane edge = Plane.of(1201, 3);
        for (int y = 0; y < 3; y++) {
            for (int x = 600; x < 1201; x++) {
                edge.data()[y * 1201 + x] = 1;
            }
        }
        for (String direction : new String[] {"along an angle", "radial"}) {
            Settings settings =
                    Treating.settings(
                            new Dispersion(),
                            Map.of(
                                    "length",
                                    length,
                                    "centre-x",
                                    direction.equals("radial") ? -600.0 : 0.0),
                            Map.of("direction", direction),
                            EdgeFill.REPEAT);
            for (int channel = 0; channel < 3; channel++) {
                Context context =
                        new Context(
                                1,
                                Treating.channel(channel),
                                java.util.Optional.empty(),
                                Workers.shared());
                Plane out =
                        new Dispersion().apply(edge, settings, context).toPlane(Workers.shared());
                double steepest = 0;
                for (int x = 1; x < 1201; x++) {
                    steepest = Math.max(steepest, Math.abs(out.at(x, 1) - out.at(x - 1, 1)));
                }
                // Green, the narrowest of the three, is about a fifth of the whole.
                assertThat(steepest)
                        .as("%s, channel %d", direction, channel)
                        .isLessThan(9 / length);
                assertThat(out.at(0, 1)).isZero();
                assertThat((double) out.at(1200, 1)).isCloseTo(1, within(1e-5));
            }
        }
    }

    /** Wyman, Sloan, Shirley 2013, table 1. */
    private static double[] matching(double nm) {
        return new double[] {
            0.362 * bell(nm, 442.0, 0.0624, 0.0374)
                    + 1.056 * bell(nm, 599.8, 0.0264, 0.0323)
                    - 0.065 * bell(nm, 501.1, 0.0490, 0.0382),
            0.821 * bell(nm, 568.8, 0.0213, 0.0247) + 0.286 * bell(nm, 530.9, 0.0613, 0.0322),
            1.217 * bell(nm, 437.0, 0.0845, 0.0278) + 0.681 * bell(nm, 459.0, 0.0385, 0.0725)
        };
    }

    private static double bell(double nm, double middle, double left, double right) {
        double t = (nm - middle) * (nm < middle ? left : right);
        return Math.exp(-t * t / 2);
    }

    @ParameterizedTest
    @CsvSource({"'maximum, minimum', true", "'minimum, maximum', false"})
    void twoTreatmentsApplyInOrder(String order, boolean greatestFirst) {
        Plane out =
                treated(
                        new MinimumMaximum(),
                        Map.of("radius", 2.0),
                        Map.of("operation", order),
                        EdgeFill.WRAP);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                double outer = greatestFirst ? 9 : -9;
                for (int j = -2; j <= 2; j++) {
                    for (int i = -2; i <= 2; i++) {
                        double inner = extreme(x + i, y + j, greatestFirst);
                        outer = greatestFirst ? Math.min(outer, inner) : Math.max(outer, inner);
                    }
                }
                assertThat((double) out.at(x, y)).isEqualTo(outer);
            }
        }
    }

    private double extreme(int x, int y, boolean greatest) {
        double best = greatest ? -9 : 9;
        for (int j = -2; j <= 2; j++) {
            for (int i = -2; i <= 2; i++) {
                double v = pixel(x + i, y + j, EdgeFill.WRAP);
                best = greatest ? Math.max(best, v) : Math.min(best, v);
            }
        }
        return best;
    }

    /** Film responds most in the midtones: by 4 v (1 - v), zero at black and white. */
    @ParameterizedTest
    @CsvSource({
        "0, 100, 0",
        "1, 100, 0",
        "0.5, 100, 1",
        "0.25, 100, 0.75",
        "0.25, 50, 0.875",
        "1, 0, 1"
    })
    void grainStrengthFollowsTheTone(double tone, double response, double share) {
        Plane flat = Plane.flat(120, 90, (float) tone);
        Map<String, Double> numbers = new HashMap<>();
        numbers.put("strength", 10.0);
        numbers.put("size", 1.0);
        numbers.put("response", response);
        Plane out = treated(new Grain(), flat, numbers, Map.of(), EdgeFill.REPEAT, Moment.ANY);
        double squares = 0;
        for (float v : out.data()) {
            squares += (v - tone) * (v - tone);
        }
        assertThat(Math.sqrt(squares / out.data().length))
                .isCloseTo(0.1 * share, within(0.02 * share + 1e-6));
    }

    @Test
    void grainChangesPerFrameOrHolds() {
        Plane flat = Plane.flat(20, 10, 0.5f);
        for (double hold : new double[] {1, 3}) {
            Map<String, Double> numbers = Map.of("strength", 10.0, "size", 1.0, "hold", hold);
            Plane[] frames = new Plane[4];
            for (int i = 0; i < 4; i++) {
                frames[i] =
                        treated(
                                new Grain(),
                                flat,
                                numbers,
                                Map.of(),
                                EdgeFill.REPEAT,
                                new Moment(5, i, new RandomKey(1, RandomKey.ANYWHERE)));
            }
            assertThat(frames[0].sameSamples(frames[1])).isEqualTo(hold == 3);
            assertThat(frames[0].sameSamples(frames[2])).isEqualTo(hold == 3);
            assertThat(frames[0].sameSamples(frames[3])).isFalse();
        }
    }
}
