package ivrik.media.pixel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Random;

/** Against weights written out, in rows shorter than a vector, of one vector, and of several. */
class ChromaTest {
    private static float[] noise(int n, int seed) {
        Random random = new Random(seed);
        float[] row = new float[n];
        for (int i = 0; i < n; i++) {
            row[i] = random.nextFloat();
        }
        return row;
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 16, 17, 33, 100})
    void upsampledChromaIsCositedOrInterpolated(int n) {
        float[] in = noise(n, 1);
        float[] out = new float[2 * n];
        Chroma.doubled(in, out);
        for (int i = 0; i < n; i++) {
            float next = in[Math.min(i + 1, n - 1)];
            assertThat(out[2 * i]).isEqualTo(in[i]);
            assertThat(out[2 * i + 1]).isEqualTo(in[i] + 0.5f * (next - in[i]));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 31, 32, 36, 67, 200})
    void downsampledChromaIsWeighted121(int n) {
        float[] upper = noise(n, 2);
        float[] lower = noise(n, 3);
        float[] out = new float[(n + 1) / 2];
        Chroma.halved(upper, lower, new float[n], out);
        for (int x = 0; x < out.length; x++) {
            int before = Math.max(0, 2 * x - 1);
            int after = Math.min(2 * x + 1, n - 1);
            double wanted =
                    (upper[before] + lower[before]) / 8.0
                            + (upper[2 * x] + lower[2 * x]) / 4.0
                            + (upper[after] + lower[after]) / 8.0;
            assertThat(out[x]).isCloseTo((float) wanted, within(1e-6f));
        }
    }
}
