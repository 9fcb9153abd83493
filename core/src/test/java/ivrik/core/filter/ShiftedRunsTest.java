package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import ivrik.core.Pictured;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.Random;

/** Runs with one common shift, against positions sampled one by one by definition. */
class ShiftedRunsTest {
    private static final int W = 83;
    private static final int H = 21;

    private final double[] x = new double[W];
    private final double[] y = new double[W];

    /** Fills runs of random length and shift; some lie outside the plane. */
    private void places(int row, long seed, int shortest) {
        Random random = new Random(seed);
        int i = 0;
        while (i < W) {
            int end = Math.min(W, i + shortest + random.nextInt(20));
            double right =
                    random.nextBoolean() ? random.nextInt(40) - 20 : 30 * random.nextGaussian();
            double below = random.nextBoolean() ? 0 : 5 * random.nextGaussian();
            for (; i < end; i++) {
                x[i] = i + 0.5 - right;
                y[i] = row + 0.5 - below;
            }
        }
    }

    private static double exact(Plane in, double x, double y, EdgeFill fill, Sampler sampler) {
        int left = (int) Math.floor(x - 0.5);
        int above = (int) Math.floor(y - 0.5);
        float[] across = new float[sampler.taps()];
        float[] down = new float[sampler.taps()];
        sampler.weights((float) (x - 0.5 - left), across);
        sampler.weights((float) (y - 0.5 - above), down);
        double sum = 0;
        for (int j = 0; j < sampler.taps(); j++) {
            for (int i = 0; i < sampler.taps(); i++) {
                int tap = sampler.firstTap();
                sum +=
                        (double) across[i]
                                * down[j]
                                * Exact.at(in, left + tap + i, above + tap + j, fill);
            }
        }
        return sum;
    }

    @ParameterizedTest
    @EnumSource
    void runsEqualTheDefinition(EdgeFill fill) {
        Plane in = Pictured.noise(W, H, 4);
        float[] out = new float[W + 3];
        for (Sampler sampler : Sampler.values()) {
            ShiftedRuns runs = new ShiftedRuns(in, W, fill, sampler);
            for (int row = 0; row < H; row++) {
                places(row, row, 9);
                assertThat(runs.at(x, y, W, out, 3)).isTrue();
                for (int i = 0; i < W; i++) {
                    assertThat((double) out[i + 3])
                            .as("%s, row %s, place %s", sampler, row, i)
                            .isCloseTo(exact(in, x[i], y[i], fill, sampler), within(2e-6));
                }
            }
        }
    }

    /** A picture must not depend on whether positions happen to form runs. */
    @ParameterizedTest
    @EnumSource
    void runsEqualSinglePositionsToTheBit(Sampler sampler) {
        Plane in = Pictured.noise(W, H, 4);
        float[] out = new float[W];
        float[] other = new float[W];
        for (int row = 0; row < H; row++) {
            places(row, 50 + row, 9);
            assertThat(new ShiftedRuns(in, W, EdgeFill.MIRROR, sampler).at(x, y, W, out, 0))
                    .isTrue();
            new ScatteredSamples(in, W, EdgeFill.MIRROR, sampler).at(x, y, W, other, 0);
            assertThat(out).containsExactly(other);
        }
    }

    @Test
    void wholePixelShiftsAreCopies() {
        Plane in = Pictured.noise(W, H, 4);
        for (int i = 0; i < W; i++) {
            x[i] = i + 0.5 - (i < 40 ? 3 : -7);
            y[i] = 4.5 + (i < 40 ? 2 : 0);
        }
        float[] out = new float[W];
        assertThat(new ShiftedRuns(in, W, EdgeFill.REPEAT, Sampler.CUBIC).at(x, y, W, out, 0))
                .isTrue();
        assertThat(out[30]).isEqualTo(in.at(27, 6));
        assertThat(out[60]).isEqualTo(in.at(67, 4));
    }

    /** Scattered positions are left to the general sampler. */
    @Test
    void scatteredPositionsAreRefused() {
        for (int i = 0; i < W; i++) {
            x[i] = 1.01 * i;
            y[i] = 3;
        }
        float[] out = new float[W];
        assertThat(
                        new ShiftedRuns(Pictured.noise(W, H, 4), W, EdgeFill.REPEAT, Sampler.LINEAR)
                                .at(x, y, W, out, 0))
                .isFalse();
        assertThat(out).containsOnly(0);
    }
}
