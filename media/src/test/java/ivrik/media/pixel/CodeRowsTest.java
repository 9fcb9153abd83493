package ivrik.media.pixel;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every code against its fraction of full scale, divided in double precision. */
class CodeRowsTest {
    @Test
    void everyByteIsDividedBy255() {
        byte[] stored = new byte[256];
        for (int code = 0; code < stored.length; code++) {
            stored[code] = (byte) code;
        }
        float[] out = new float[256 + 7];
        CodeRows.read(stored, out, 7);
        float[] codes = new float[256];
        for (int code = 0; code < 256; code++) {
            assertThat(out[7 + code]).isEqualTo((float) (code / 255.0));
            codes[code] = code;
        }
        CodeRows.write(codes, stored);
        for (int code = 0; code < 256; code++) {
            assertThat(stored[code]).isEqualTo((byte) code);
        }
    }

    /** The significant bits are read; the padding bits are arbitrary. */
    @ParameterizedTest
    @CsvSource({"9, 0", "10, 0", "10, 6", "12, 0", "12, 4", "14, 0", "16, 0"})
    void everyCodeIsDividedByTheLargest(int depth, int shift) {
        int codes = 1 << depth;
        int others = ~(codes - 1 << shift);
        short[] stored = new short[codes];
        for (int code = 0; code < codes; code++) {
            stored[code] = (short) (code << shift | others & code * 2741);
        }
        float[] out = new float[codes];
        CodeRows.read(stored, shift, depth, out, 0);
        float[] written = new float[codes];
        for (int code = 0; code < codes; code++) {
            assertThat(out[code]).isEqualTo((float) ((double) code / (codes - 1)));
            written[code] = code;
        }
        CodeRows.write(written, shift, stored);
        for (int code = 0; code < codes; code++) {
            assertThat(stored[code]).isEqualTo((short) (code << shift));
        }
    }
}
