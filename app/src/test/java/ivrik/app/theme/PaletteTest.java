package ivrik.app.theme;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.ChannelKind.Role;
import ivrik.core.separation.Ink;
import ivrik.core.separation.Paint;
import ivrik.core.separation.Rgb;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;

import javafx.scene.paint.Color;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;

/** Contrast by WCAG 2: (L1 + 0.05) / (L2 + 0.05) of the relative luminances. */
class PaletteTest {
    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed())
                + 0.7152 * linear(c.getGreen())
                + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }

    private static double contrast(Color a, Color b) {
        double x = luminance(a) + 0.05;
        double y = luminance(b) + 0.05;
        return Math.max(x, y) / Math.min(x, y);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void smallTextHasContrastOnEveryBackground(boolean darkroom) {
        Palette p = Palette.of(darkroom);
        for (String background : List.of("background", "panel", "raised")) {
            assertThat(contrast(p.colour("type"), p.colour(background)))
                    .as("type on " + background)
                    .isGreaterThan(4.5);
            assertThat(contrast(p.colour("quiet"), p.colour(background)))
                    .as("quiet on " + background)
                    .isGreaterThan(4.5);
        }
        assertThat(contrast(p.colour("on-paper"), p.colour("paper"))).isGreaterThan(4.5);
        for (Separation model : Separations.all()) {
            for (ChannelKind channel : model.channels()) {
                String named = "ink-" + channel.id();
                assertThat(contrast(p.colour("on-ink"), p.colour(named)))
                        .as("letter on " + named)
                        .isGreaterThan(4.5);
                assertThat(contrast(p.ink(channel), p.colour("panel")))
                        .as(named + " on panel")
                        .isGreaterThan(3);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void onlyChannelColoursHaveHue(boolean darkroom) {
        Palette p = Palette.of(darkroom);
        for (String chrome : List.of("background", "panel", "raised", "line", "faint")) {
            assertThat(p.colour(chrome).getSaturation()).as(chrome).isLessThan(0.1);
        }
        assertThat(p.ink(new Rgb().channels().getFirst()).getSaturation()).isGreaterThan(0.5);
    }

    @Test
    void aSchemeHasItsStyleSheetAndShapes() {
        assertThat(Palette.of(true).sheets()).anyMatch(s -> s.endsWith("darkroom.css")).hasSize(2);
        assertThat(Palette.of(false).sheets()).anyMatch(s -> s.endsWith("proof.css"));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void customChannelColoursHaveContrast(boolean darkroom) {
        Palette p = Palette.of(darkroom);
        for (String hex : List.of("101010", "f0f0f0", "20104a", "ffe0a0")) {
            ChannelKind channel =
                    new ChannelKind("first", "First", "1", Role.FIRST, Ink.parse(hex), Paint.LIGHT);
            assertThat(contrast(p.ink(channel), p.colour("panel"))).as(hex).isGreaterThan(4.4);
        }
    }

    @Test
    void textSizeFollowsTheSetting() {
        assertThat(Palette.of(true, 1.25).textFont(12).getSize()).isEqualTo(15);
        assertThat(Palette.of(true).numberFont(12).getSize()).isEqualTo(12);
    }
}
