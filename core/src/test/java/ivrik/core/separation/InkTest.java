package ivrik.core.separation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class InkTest {
    @ParameterizedTest
    @ValueSource(strings = {"000000", "ffffff", "ff8001", "0a0b0c", "7f80fe"})
    void sixDigitColoursRoundTrip(String hex) {
        assertThat(Ink.parse(hex).hex()).isEqualTo(hex);
        assertThat(Ink.parse(hex.toUpperCase(java.util.Locale.ROOT)).hex()).isEqualTo(hex);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "fff", "#ffffff", "ff00zz", "ff00000", "rot"})
    void otherTextsAreRefused(String text) {
        assertThatThrownBy(() -> Ink.parse(text))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("six hexadecimal digits");
    }

    @Test
    void inkComponentsMatchTheChannels() {
        Ink ink = new Ink(0.1f, 0.2f, 0.3f);
        assertThat(ink.part(0)).isEqualTo(0.1f);
        assertThat(ink.part(1)).isEqualTo(0.2f);
        assertThat(ink.part(2)).isEqualTo(0.3f);
        assertThat(new Ink(2, -1, 0.5f).hex())
                .as("as near as the format permits")
                .isEqualTo("ff0080");
    }

    @ParameterizedTest
    @CsvSource({
        "LIGHT, 0, 0.7, 0", "LIGHT, 1, 0.7, 0.7", "LIGHT, 0.5, 0.7, 0.35",
        "INK, 0, 0.7, 1", "INK, 1, 0.7, 0.7", "INK, 0.5, 0, 0.5",
        "SIGNED, 0, 0.7, 0.5", "SIGNED, 1, 0.7, 0.7", "SIGNED, -1, 0.7, 0.3"
    })
    void tintsAreLinearFromZeroToTheInk(Paint paint, float value, float ink, float expected) {
        assertThat(paint.of(value, ink))
                .isEqualTo(expected, org.assertj.core.api.Assertions.within(1e-6f));
    }

    @ParameterizedTest
    @CsvSource({
        "0, 1 0 0",
        "0.166667, 1 1 0",
        "0.333333, 0 1 0",
        "0.5, 0 1 1",
        "0.666667, 0 0 1",
        "0.833333, 1 0 1",
        "1.25, 0.5 1 0",
        "-0.25, 0.5 0 1"
    })
    void pureHuesRunRoundTheHexcone(float turns, String rgb) {
        String[] parts = rgb.split(" ");
        for (int c = 0; c < 3; c++) {
            assertThat(Hsv.pure(turns, c))
                    .isEqualTo(
                            Float.parseFloat(parts[c]),
                            org.assertj.core.api.Assertions.within(1e-4f));
        }
    }
}
