package ivrik.core.sampling;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class EdgeFillTest {
    @ParameterizedTest
    @CsvSource({
        "EMPTY,  0 0 0 a b c 0 0 0",
        "REPEAT, a a a a b c c c c",
        "MIRROR, c b a a b c c b a",
        "WRAP,   a b c a b c a b c"
    })
    void edgeFillsExtendARow(EdgeFill fill, String expected) {
        float[] row = {9, 1, 2, 3, 9};
        float[] out = new float[9];
        fill.read(row, 1, 3, -3, out, 9);
        float[] want = new float[9];
        String[] letters = expected.split(" ");
        for (int i = 0; i < 9; i++) {
            want[i] = letters[i].equals("0") ? 0 : letters[i].charAt(0) - 'a' + 1;
        }
        assertThat(out).containsExactly(want);
    }
}
