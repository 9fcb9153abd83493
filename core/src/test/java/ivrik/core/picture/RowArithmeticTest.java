package ivrik.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Arrays;
import java.util.Random;

class RowArithmeticTest {
    /**
     * Every code, floats around every step between codes, and values outside the range of codes.
     */
    private static float[] samples(Depth depth, int largest) {
        Random random = new Random(3);
        float[] samples = new float[4 * largest + 1000 + 7];
        for (int code = 0; code < largest; code++) {
            samples[4 * code] = depth.toFloat(code);
            samples[4 * code + 1] = (float) ((code + 0.49) / largest);
            samples[4 * code + 2] = (float) ((code + 0.51) / largest);
            samples[4 * code + 3] = (float) ((code - 0.49) / largest);
        }
        for (int i = 4 * largest; i < samples.length; i++) {
            samples[i] = random.nextBoolean() ? 1 + random.nextFloat() : -random.nextFloat();
        }
        float[] odd = {Float.NaN, -0f, Float.POSITIVE_INFINITY, Float.NEGATIVE_INFINITY, 1, 1e-40f};
        System.arraycopy(odd, 0, samples, samples.length - odd.length - 2, odd.length);
        return samples;
    }

    @ParameterizedTest
    @EnumSource(names = {"INT8", "INT10", "INT12", "INT16"})
    void rowsOfCodesEqualSingleCodes(Depth depth) {
        int largest = (1 << depth.bits()) - 1;
        float[] samples = samples(depth, largest);
        float[] wanted = new float[samples.length - 3];
        for (int i = 0; i < wanted.length; i++) {
            wanted[i] = depth.toCode(samples[i]);
        }
        float[] codes = new float[wanted.length];
        RowArithmetic.codes(samples, largest, codes);
        assertThat(codes).isEqualTo(wanted);
        RowArithmetic.codes(samples, largest, samples);
        assertThat(samples).as("in place").startsWith(wanted);
    }

    @Test
    void wordsHoldTheirCodesInOrder() {
        float[] samples = samples(Depth.INT8, 255);
        int n = samples.length - 6;
        float[][] rows = new float[3][];
        Arrays.setAll(rows, c -> Arrays.copyOfRange(samples, 3 * c, 3 * c + n));
        int[] words = new int[n];
        RowArithmetic.packed(rows, new int[] {16, 0, 24}, words);
        int[] wanted = new int[n];
        Arrays.setAll(
                wanted,
                i ->
                        Depth.INT8.toCode(rows[0][i]) << 16
                                | Depth.INT8.toCode(rows[1][i])
                                | Depth.INT8.toCode(rows[2][i]) << 24);
        assertThat(words).isEqualTo(wanted);
    }

    /**
     * Against plain loops, at every offset, in rows shorter than a vector, of one vector, and of several.
     */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 7, 15, 16, 17, 33, 100})
    void sumsOfPairsStopAtTheirEnd(int n) {
        Random random = new Random(n);
        float[][] rows = new float[5][];
        Arrays.setAll(rows, k -> noise(random, n + k));
        float[] out = noise(random, n + 30);
        float[] scaled = out.clone();
        float[] added = out.clone();
        float[] paired = out.clone();
        RowArithmetic.scale(rows[1], 1, 0.3f, scaled, 9, n);
        RowArithmetic.addPair(rows[1], 1, rows[2], 2, 0.3f, added, 9, n);
        RowArithmetic.pairs(
                rows[0], 0, 0.7f, rows[1], 1, rows[2], 2, 0.3f, rows[3], 3, rows[4], 4, 0.2f,
                paired, 9, n);
        float[] wantedScaled = out.clone();
        float[] wantedAdded = out.clone();
        float[] wantedPaired = out.clone();
        for (int i = 0; i < n; i++) {
            float inner = (rows[1][1 + i] + rows[2][2 + i]) * 0.3f;
            float outer = (rows[3][3 + i] + rows[4][4 + i]) * 0.2f;
            wantedScaled[9 + i] = rows[1][1 + i] * 0.3f;
            wantedAdded[9 + i] = out[9 + i] + inner;
            wantedPaired[9 + i] = rows[0][i] * 0.7f + (inner + outer);
        }
        assertThat(scaled).isEqualTo(wantedScaled);
        assertThat(added).isEqualTo(wantedAdded);
        assertThat(paired).isEqualTo(wantedPaired);
    }

    private static float[] noise(Random random, int n) {
        float[] row = new float[n];
        for (int i = 0; i < n; i++) {
            row[i] = random.nextFloat();
        }
        return row;
    }
}
