package ivrik.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DepthTest {
    @ParameterizedTest
    @EnumSource(names = {"INT8", "INT10", "INT12", "INT16"})
    void everyIntegerCodeRoundTrips(Depth depth) {
        for (int code = 0; code < 1 << depth.bits(); code++) {
            assertThat(depth.toCode(depth.toFloat(code))).isEqualTo(code);
        }
    }

    @Test
    void everyHalfRoundTrips() {
        for (int code = 0; code < 1 << 16; code++) {
            float value = Depth.HALF.toFloat(code);
            if (!Float.isNaN(value)) {
                assertThat(Depth.HALF.toCode(value)).isEqualTo(code);
            }
        }
    }

    @Test
    void floatsKeepTheirBits() {
        for (float value : new float[] {-2.5f, 1e-30f, 7, Float.MAX_VALUE}) {
            assertThat(Depth.FLOAT.toFloat(Depth.FLOAT.toCode(value))).isEqualTo(value);
        }
    }

    @Test
    void integersClampAndRoundHalvesUp() {
        assertThat(Depth.INT8.toCode(-0.1f)).isZero();
        assertThat(Depth.INT8.toCode(1.5f)).isEqualTo(255);
        assertThat(Depth.INT8.toCode(Float.NaN)).isZero();
        assertThat(Depth.INT8.toCode(0.5f)).isEqualTo(128); // 127.5
        assertThat(Depth.INT16.toFloat(65535)).isEqualTo(1f);
    }
}
