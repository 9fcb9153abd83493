package ivrik.core.sampling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Made;
import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

class ResampleTest {
    @Test
    void halfSizeIsTheMeanOfFour() {
        Plane small =
                Resample.to(
                        Plane.of(4, 2, 1, 3, 10, 0, 5, 7, 2, 0), new Size(2, 1), Workers.shared());
        assertThat(small.data()).containsExactly(4f, 3f);
    }

    @Test
    void threeIntoTwoWeighsByArea() {
        // Each new pixel covers one and a half old pixels: (1 + 0.5 * 4) / 1.5 and (0.5 * 4 + 10) /
        // 1.5.
        Plane small = Resample.to(Plane.of(3, 1, 1, 4, 10), new Size(2, 1), Workers.shared());
        assertThat(small.at(0, 0)).isCloseTo(2f, within(1e-6f));
        assertThat(small.at(1, 0)).isCloseTo(8f, within(1e-6f));
    }

    @Test
    void doubleSizeInterpolatesBetweenCentres() {
        Plane large = Resample.to(Plane.of(2, 1, 0, 4), new Size(4, 1), Workers.shared());
        assertThat(large.data()).containsExactly(0f, 1f, 3f, 4f);
    }

    @Property(tries = 60)
    void resampledRowsEqualResampledPlanes(
            @ForAll @IntRange(min = 1, max = 40) int w,
            @ForAll @IntRange(min = 1, max = 90) int h) {
        List<Plane> planes = List.of(noise(1), noise(2), noise(3));
        Workers workers = Workers.shared();
        Size size = new Size(w, h);
        List<Plane> made =
                Resample.to(Made.stored(planes, new AtomicInteger()), size, workers).colour();
        for (int c = 0; c < 3; c++) {
            assertThat(made.get(c).sameSamples(Resample.to(planes.get(c), size, workers))).isTrue();
        }
    }

    private static Plane noise(int seed) {
        return Pictured.noise(17, 71, seed);
    }

    @Property(tries = 60)
    void flatStaysFlatAndInRange(
            @ForAll @IntRange(min = 1, max = 40) int w,
            @ForAll @IntRange(min = 1, max = 40) int h) {
        Plane flat = Resample.to(Plane.flat(17, 11, 0.3f), new Size(w, h), Workers.shared());
        for (float v : flat.data()) {
            assertThat(v).isCloseTo(0.3f, within(1e-6f));
        }
        for (float v :
                Resample.to(Pictured.noise(17, 11, 5), new Size(w, h), Workers.shared()).data()) {
            assertThat(v).isBetween(0f, 1f);
        }
    }
}
