package ivrik.app.widget;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.util.List;

class SearchTest {
    @Test
    void everyTypedWordMustMatchInAnyOrder() {
        assertThat(Search.fits("blur gauss", "Gaussian blur")).isTrue();
        assertThat(Search.fits("blur lens", "Gaussian blur")).isFalse();
        assertThat(Search.fits("", "anything")).isTrue();
    }

    @Test
    void wordsOfEarlierVersionsAndOtherCommonWordsAreSynonyms() {
        assertThat(Search.fits("peg", "Set or delete keyframe")).isTrue();
        assertThat(Search.fits("pe", "Set or delete keyframe")).isFalse();
        assertThat(Search.fits("add effect", "Add treatment...")).isTrue();
    }

    @Test
    void titlesMatchBeforeKeywords() {
        List<String> titles = List.of("Lens", "RGB split", "Chromatic aberration");
        assertThat(Search.best("chromatic aberration", titles)).isEqualTo(2);
        assertThat(Search.best("glasses", titles)).isZero();
        assertThat(Search.best("glasses", List.of())).isZero();
    }

    @Test
    void misspelledWordsMatch() {
        List<String> titles = List.of("Save as take", "Show channel combinations...", "Scopes");
        assertThat(Search.nearest("combinatoins", titles)).contains("combinations");
        assertThat(Search.nearest("scops", titles)).contains("scopes");
        assertThat(Search.nearest("xyzzyxyzzy", titles)).isEmpty();
    }
}
