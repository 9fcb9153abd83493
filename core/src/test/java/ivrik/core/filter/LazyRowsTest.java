package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.Made;
import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

/** A filter of computed rows equals the filter of their plane, to the last bit. */
class LazyRowsTest {
    private static final Workers WORKERS = Workers.shared();

    private final AtomicInteger made = new AtomicInteger();

    /**
     * An even and an odd number of rows per coarse row; some planes are lower than the blur is wide.
     */
    @ParameterizedTest
    @CsvSource({"6, 45", "8, 45", "11, 100", "20, 131", "20, 3", "80, 45"})
    void aLargeBlur(double sigma, int height) {
        Plane plane = Pictured.smooth(67, height, 1);
        for (EdgeFill fill : EdgeFill.values()) {
            Plane blurred =
                    Gaussian.of(Made.rows(plane, made), sigma, sigma / 2, fill, WORKERS)
                            .toPlane(WORKERS);
            Plane wanted = Gaussian.of(plane, sigma, sigma / 2, fill, WORKERS).toPlane(WORKERS);
            assertThat(blurred.sameSamples(wanted)).as(fill.toString()).isTrue();
        }
    }

    @ParameterizedTest
    @EnumSource
    void aTranslation(Sampler sampler) {
        Plane plane = Pictured.smooth(67, 45, 2);
        for (EdgeFill fill : EdgeFill.values()) {
            for (double by : new double[] {-3, 0.3, 12.75, -80.5}) {
                List<Warp> warps = List.of(Affine.moved(by, -by / 3));
                Plane moved =
                        WarpedPlane.translated(Made.rows(plane, made), warps, fill, sampler)
                                .orElseThrow()
                                .toPlane(WORKERS);
                Plane wanted = WarpedPlane.of(plane, warps, fill, sampler).toPlane(WORKERS);
                assertThat(moved.sameSamples(wanted)).as(fill + " " + by).isTrue();
            }
        }
    }

    /** Bands compute the rows around their borders independently. */
    @ParameterizedTest
    @CsvSource({"LINEAR, 2", "CUBIC, 4", "LANCZOS, 6"})
    void aTranslationMakesEachRowOnceInABand(Sampler sampler, int taps) {
        Plane plane = Pictured.smooth(20, 32, 3);
        WarpedPlane.translated(
                        Made.rows(plane, made),
                        List.of(Affine.moved(0, 0.5)),
                        EdgeFill.EMPTY,
                        sampler)
                .orElseThrow()
                .toPlane(WORKERS);
        assertThat(made.get()).isEqualTo(plane.height());
        assertThat(sampler.taps()).isEqualTo(taps);
    }
}
