package ivrik.media.pixel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT2020_NCL;
import static org.bytedeco.ffmpeg.global.avutil.AVCOL_SPC_BT709;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Random;

class YuvTest {
    private static final Yuv BT709 = Yuv.of(AVCOL_SPC_BT709, false, 8, 1080);
    private static final Yuv BT2020_FULL = Yuv.of(AVCOL_SPC_BT2020_NCL, true, 10, 2160);

    private static float[][] noise(int n) {
        Random random = new Random(n);
        float[][] rows = new float[3][n];
        for (float[] row : rows) {
            for (int i = 0; i < n; i++) {
                row[i] = 1.4f * random.nextFloat() - 0.2f;
            }
        }
        return rows;
    }

    private static float[][] codes(Yuv yuv, float[]... rgb) {
        float[][] out = new float[3][rgb[0].length];
        yuv.toCodes(rgb[0], rgb[1], rgb[2], out[0], out[1], out[2]);
        return out;
    }

    /**
     * By the formulas of the recommendations, in rows shorter than a vector, of one vector, and of several.
     */
    @ParameterizedTest
    @ValueSource(ints = {1, 7, 16, 17, 33, 100})
    void codesMatchTheRecommendation(int n) {
        float[][] rgb = noise(n);
        float[][] narrow = codes(BT709, rgb);
        float[][] full = codes(BT2020_FULL, rgb);
        for (int i = 0; i < n; i++) {
            double r = Math.clamp(rgb[0][i], 0, 1);
            double g = Math.clamp(rgb[1][i], 0, 1);
            double b = Math.clamp(rgb[2][i], 0, 1);
            double y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
            assertThat(narrow[0][i] * 255).isCloseTo((float) (16 + 219 * y), within(1e-3f));
            assertThat(narrow[1][i] * 255)
                    .isCloseTo((float) (128 + 224 * (b - y) / 1.8556), within(1e-3f));
            assertThat(narrow[2][i] * 255)
                    .isCloseTo((float) (128 + 224 * (r - y) / 1.5748), within(1e-3f));
            y = 0.2627 * r + 0.678 * g + 0.0593 * b;
            assertThat(full[0][i] * 1023).isCloseTo((float) (1023 * y), within(1e-3f));
            assertThat(full[1][i] * 1023)
                    .isCloseTo((float) (512 + 1023 * (b - y) / 1.8814), within(1e-3f));
            assertThat(full[2][i] * 1023)
                    .isCloseTo((float) (512 + 1023 * (r - y) / 1.4746), within(1e-3f));
        }
    }

    /** Codes are independent of the vector length of the machine. */
    @Test
    void singleSamplesGiveTheSameBitsAsRows() {
        float[][] rgb = noise(67);
        rgb[0][3] = Float.NaN;
        rgb[1][20] = Float.POSITIVE_INFINITY;
        rgb[2][21] = Float.NEGATIVE_INFINITY;
        float[][] together = codes(BT709, rgb);
        for (int i = 0; i < 67; i++) {
            float[][] alone =
                    codes(
                            BT709,
                            new float[] {rgb[0][i]},
                            new float[] {rgb[1][i]},
                            new float[] {rgb[2][i]});
            for (int c = 0; c < 3; c++) {
                assertThat(alone[c][0]).isEqualTo(together[c][i]);
            }
        }
    }

    @Test
    void outOfRangeColoursClampAndNaNIsZero() {
        float[] odd = {Float.NaN, -0f, -3, Float.NEGATIVE_INFINITY, 1.5f, Float.POSITIVE_INFINITY};
        float[] plain = {0, 0, 0, 0, 1, 1};
        assertThat(codes(BT709, odd, odd, odd)).isDeepEqualTo(codes(BT709, plain, plain, plain));
    }

    @Test
    void codesRoundTripToTheirColours() {
        float[][] rgb = noise(40);
        for (float[] row : rgb) {
            for (int i = 0; i < row.length; i++) {
                row[i] = Math.clamp(row[i], 0, 1);
            }
        }
        float[][] codes = codes(BT709, rgb);
        float[][] back = {codes[0], new float[40], new float[40]};
        BT709.toRgb(
                back,
                new Yuv.Between(codes[1], codes[1], 0),
                new Yuv.Between(codes[2], codes[2], 0),
                40);
        for (int c = 0; c < 3; c++) {
            for (int i = 0; i < 40; i++) {
                assertThat(back[c][i]).isCloseTo(rgb[c][i], within(2e-6f));
            }
        }
    }

    @Test
    void chromaBetweenRowsIsInterpolated() {
        float[] upper = noise(40)[0];
        float[] lower = noise(40)[1];
        float[] mixed = new float[40];
        for (int i = 0; i < 40; i++) {
            mixed[i] = upper[i] + 0.75f * (lower[i] - upper[i]);
        }
        float[][] between = noise(40);
        float[][] at = noise(40);
        Yuv.Between drawn = new Yuv.Between(upper, lower, 0.75f);
        Yuv.Between same = new Yuv.Between(mixed, mixed, 0);
        BT709.toRgb(between, drawn, drawn, 40);
        BT709.toRgb(at, same, same, 40);
        assertThat(between).isDeepEqualTo(at);
    }
}
