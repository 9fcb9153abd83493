package ivrik.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.Arrays;
import java.util.Random;

class LinesTest {
    /** Every code, floats about every step from one code to the next, and what no code stands for. */
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
    void codesAreThoseOfTheDepthOneByOne(Depth depth) {
        int largest = (1 << depth.bits()) - 1;
        float[] samples = samples(depth, largest);
        float[] wanted = new float[samples.length - 3];
        for (int i = 0; i < wanted.length; i++) {
            wanted[i] = depth.toCode(samples[i]);
        }
        float[] codes = new float[wanted.length];
        Lines.codes(samples, largest, codes);
        assertThat(codes).isEqualTo(wanted);
        Lines.codes(samples, largest, samples);
        assertThat(samples).as("in place").startsWith(wanted);
    }

    @Test
    void wordsHoldEachCodeInItsPlace() {
        float[] samples = samples(Depth.INT8, 255);
        int n = samples.length - 6;
        float[][] rows = new float[3][];
        Arrays.setAll(rows, c -> Arrays.copyOfRange(samples, 3 * c, 3 * c + n));
        int[] words = new int[n];
        Lines.words(rows, new int[] {16, 0, 24}, words);
        int[] wanted = new int[n];
        Arrays.setAll(
                wanted,
                i ->
                        Depth.INT8.toCode(rows[0][i]) << 16
                                | Depth.INT8.toCode(rows[1][i])
                                | Depth.INT8.toCode(rows[2][i]) << 24);
        assertThat(words).isEqualTo(wanted);
    }

    @Test
    void clampedSamplesLieBetweenNothingAndAll() {
        float[] samples = samples(Depth.INT8, 255);
        float[] clamped = samples.clone();
        Lines.clamp(clamped);
        for (int i = 0; i < clamped.length; i++) {
            float v = samples[i];
            float wanted = v <= 0 || Float.isNaN(v) ? 0 : Math.min(v, 1);
            assertThat(clamped[i]).isBetween(wanted - 0x1p-24f, wanted);
        }
        assertThat(clamped).contains(1f);
    }
}
