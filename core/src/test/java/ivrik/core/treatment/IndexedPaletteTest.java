package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Large pixels and a small palette. */
class IndexedPaletteTest {
    private static List<Plane> done(
            List<Plane> picture, Map<String, Double> numbers, String palette, String shape) {
        return Whole.done(
                new Pixelate(), picture, numbers, Map.of("palette", palette, "shape", shape));
    }

    @Test
    void largePixelsAreAreaMeansWithSharpEdges() {
        List<Plane> picture =
                List.of(
                        Pictured.smooth(96, 48, 0),
                        Pictured.smooth(96, 48, 1),
                        Pictured.smooth(96, 48, 2));
        List<Plane> out = done(picture, Map.of("pixels", 12.0), "uniform RGB", "squares");
        for (int c = 0; c < 3; c++) {
            for (int y = 8; y < 40; y++) {
                for (int x = 8; x < 88; x++) {
                    int left = x / 8 * 8;
                    int top = y / 8 * 8;
                    assertThat(out.get(c).at(x, y)).isEqualTo(out.get(c).at(left, top));
                    double mean = 0;
                    for (int i = 0; i < 64; i++) {
                        mean += picture.get(c).at(left + i % 8, top + i / 8) / 64;
                    }
                    assertThat((double) out.get(c).at(x, y)).isCloseTo(mean, within(0.02));
                }
            }
        }
    }

    /** An edge within a large pixel is mixed by area. */
    @Test
    void anEdgeWithinALargePixelIsMixed() {
        Plane ramp = Plane.of(10, 4);
        for (int i = 0; i < 40; i++) {
            ramp.data()[i] = i % 10 / 10f;
        }
        Plane out =
                done(List.of(ramp, ramp, ramp), Map.of("pixels", 4.0), "uniform RGB", "squares")
                        .getFirst();
        float first = out.at(0, 1);
        float second = out.at(3, 1);
        assertThat(out.at(2, 1)).isCloseTo((first + second) / 2, within(1e-6f));
    }

    /** The mean of a dithered grey over 8x8 pixels is the grey, within one step of the dither. */
    @ParameterizedTest
    @CsvSource({"8, even steps", "27, even steps", "2, greys", "4, greys"})
    void ditherKeepsTheMeanOfAGrey(double colours, String palette) {
        for (double grey : new double[] {0.13, 0.37, 0.5, 0.71, 0.9}) {
            List<Plane> out =
                    done(Whole.flat(64, 64, grey), Map.of("colours", colours), palette, "squares");
            double mean = 0;
            for (float v : out.getFirst().data()) {
                mean += v / (64 * 64);
            }
            assertThat(mean).isCloseTo(grey, within(0.017));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {2, 5, 12, 27, 64, 200})
    void thePaletteHasAtMostTheAskedColours(double colours) {
        List<Plane> noise =
                List.of(
                        Pictured.noise(80, 80, 1),
                        Pictured.noise(80, 80, 2),
                        Pictured.noise(80, 80, 3));
        for (String palette : IndexedPalette.RULE.choices()) {
            Set<List<Float>> found = new HashSet<>();
            List<Plane> out = done(noise, Map.of("colours", colours), palette, "squares");
            for (int i = 0; i < 6400; i++) {
                found.add(
                        List.of(out.get(0).data()[i], out.get(1).data()[i], out.get(2).data()[i]));
            }
            assertThat(found).as(palette).hasSizeBetween(2, (int) colours);
        }
    }

    @Test
    void withoutDitherEachValueTakesTheNearestColour() {
        List<Plane> ramp = List.of(ramp(), ramp(), ramp());
        List<Plane> out = done(ramp, Map.of("colours", 3.0, "dither", 0.0), "greys", "squares");
        for (int x = 0; x < 101; x++) {
            float v = x / 100f;
            if (Math.abs(v - 0.25) > 1e-3 && Math.abs(v - 0.75) > 1e-3) {
                assertThat(out.getFirst().at(x, 1)).isEqualTo(v < 0.25 ? 0 : v < 0.75 ? 0.5f : 1);
            }
        }
    }

    private static Plane ramp() {
        Plane ramp = Plane.of(101, 3);
        for (int i = 0; i < 303; i++) {
            ramp.data()[i] = i % 101 / 100f;
        }
        return ramp;
    }

    /** A dot of radius (1 - gap)/2 covers pi (1 - gap)^2 / 4 of its pixel. */
    @ParameterizedTest
    @ValueSource(doubles = {20, 40, 60})
    void dotsCoverTheAreaWithoutTheGap(double gap) {
        Map<String, Double> numbers = new HashMap<>(Map.of("pixels", 10.0, "gap", gap));
        Plane out = done(Whole.flat(320, 160, 0.8), numbers, "uniform RGB", "dots").getFirst();
        double mean = 0;
        for (float v : out.data()) {
            mean += v / 0.8 / out.data().length;
        }
        double left = 1 - gap / 100;
        assertThat(mean).isCloseTo(Math.PI * left * left / 4, within(0.01));
    }

    /** The covered fraction of a cell equals the value, for dots and lines at any angle. */
    @ParameterizedTest
    @CsvSource({"dots, 6", "dots, 11", "lines, 6", "lines, 17"})
    void halftoneCoverageEqualsTheValue(String shape, double size) {
        Halftone halftone = new Halftone();
        for (double value : new double[] {0, 0.05, 0.3, 0.5, 0.85, 1}) {
            for (double angle : new double[] {0, 15, 45, 71}) {
                Map<String, Double> numbers = Map.of("amount", 100.0, "size", size, "angle", angle);
                Settings settings = Whole.settings(halftone, numbers, Map.of("shape", shape), 0);
                Plane out =
                        Treating.treated(
                                halftone, Plane.flat(200, 180, (float) value), settings, 1);
                double mean = 0;
                for (float v : out.data()) {
                    assertThat(v).isBetween(0f, 1f);
                    mean += v / out.data().length;
                }
                // lines parallel to the rows of pixels cross all pixels equally
                double tolerance = angle == 0 ? 0.035 : 0.015;
                assertThat(mean).isCloseTo(value, within(tolerance));
            }
        }
    }

    @Test
    void dotGainIsTheExtraCoverageAtHalf() {
        Halftone halftone = new Halftone();
        Map<String, Double> numbers = Map.of("amount", 100.0, "size", 8.0, "gain", 20.0);
        Plane out =
                Treating.treated(
                        halftone,
                        Plane.flat(160, 160, 0.5f),
                        Whole.settings(halftone, numbers, Map.of(), 0),
                        1);
        double mean = 0;
        for (float v : out.data()) {
            mean += v / out.data().length;
        }
        assertThat(mean).isCloseTo(0.7, within(0.01));
    }
}
