package ivrik.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.filter.Exact;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.threads.Workers;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

import org.junit.jupiter.api.Test;

import java.util.Map;

class ShiftTest {
    private static Plane shifted(
            Plane in, double x, double y, EdgeFill fill, Sampler sampler, double scale) {
        return new Shift()
                .apply(
                        in,
                        new Settings(Map.of("x", x, "y", y), fill, sampler),
                        Treating.at(scale, Workers.shared()))
                .toPlane(Workers.shared());
    }

    @Property(tries = 200)
    void wholePixelsAreExactInEveryEdgeFillAndSampler(
            @ForAll @IntRange(min = -40, max = 40) int dx,
            @ForAll @IntRange(min = -40, max = 40) int dy,
            @ForAll EdgeFill fill,
            @ForAll Sampler sampler) {
        Plane in = Pictured.noise(23, 17, 8);
        Plane out = shifted(in, dx, dy, fill, sampler, 1);
        for (int y = 0; y < 17; y++) {
            for (int x = 0; x < 23; x++) {
                int i = fill.inside(x - dx, 23);
                int j = fill.inside(y - dy, 17);
                assertThat(out.at(x, y)).isEqualTo(i < 0 || j < 0 ? 0 : in.at(i, j));
            }
        }
    }

    @Property(tries = 200)
    void fractionalShiftsEqualTheTextbookSum(
            @ForAll @DoubleRange(min = -9, max = 9) double dx,
            @ForAll @DoubleRange(min = -9, max = 9) double dy,
            @ForAll EdgeFill fill,
            @ForAll Sampler sampler) {
        Plane in = Pictured.noise(13, 11, 2);
        Plane out = shifted(in, dx, dy, fill, sampler, 1);
        for (int y = 0; y < 11; y += 2) {
            for (int x = 0; x < 13; x++) {
                assertThat((double) out.at(x, y))
                        .isCloseTo(direct(in, x - dx, y - dy, fill, sampler), within(3e-6));
            }
        }
    }

    /** The defining double sum over every sample within the kernel, in double precision. */
    private static double direct(Plane in, double sx, double sy, EdgeFill fill, Sampler sampler) {
        double sum = 0;
        double norm = 0;
        for (int j = (int) Math.floor(sy) - 3; j <= Math.floor(sy) + 4; j++) {
            for (int i = (int) Math.floor(sx) - 3; i <= Math.floor(sx) + 4; i++) {
                double w =
                        Exact.kernel(sampler, Math.abs(sx - i))
                                * Exact.kernel(sampler, Math.abs(sy - j));
                norm += w;
                int x = fill.inside(i, in.width());
                int y = fill.inside(j, in.height());
                if (x >= 0 && y >= 0) {
                    sum += w * in.at(x, y);
                }
            }
        }
        return sum / norm;
    }

    @Test
    void positiveIsRightAndDown() {
        Plane in = Plane.of(5, 5);
        in.data()[2 * 5 + 2] = 1;
        assertThat(shifted(in, 1, 2, EdgeFill.EMPTY, Sampler.CUBIC, 1).at(3, 4)).isEqualTo(1f);
    }

    @Test
    void shiftsAreInPixelsOfTheSequence() {
        Plane in = Pictured.noise(20, 20, 4);
        Plane half = shifted(in, 8, -4, EdgeFill.WRAP, Sampler.LANCZOS, 0.5);
        assertThat(half.sameSamples(shifted(in, 4, -2, EdgeFill.WRAP, Sampler.LANCZOS, 1)))
                .isTrue();
    }

    @Test
    void hugeShiftsAreDefined() {
        Plane in = Pictured.noise(7, 1, 4);
        assertThat(shifted(in, 20000, -20000, EdgeFill.EMPTY, Sampler.LANCZOS, 1).data())
                .containsOnly(0f);
        assertThat(shifted(in, 20000.5, 0, EdgeFill.REPEAT, Sampler.LINEAR, 1).at(3, 0))
                .isEqualTo(in.at(0, 0));
    }

    @Test
    void anyNumberOfThreadsGivesTheSameBits() {
        Plane in = Pictured.noise(301, 257, 6);
        Settings s = new Settings(Map.of("x", 3.3, "y", -7.7), EdgeFill.MIRROR, Sampler.LANCZOS);
        Workers single = new Workers(1);
        Plane one = new Shift().apply(in, s, Treating.at(1, single)).toPlane(single);
        for (int threads : new int[] {2, 7}) {
            try (Workers workers = new Workers(threads)) {
                assertThat(
                                new Shift()
                                        .apply(in, s, Treating.at(1, workers))
                                        .toPlane(workers)
                                        .sameSamples(one))
                        .isTrue();
            }
        }
    }
}
