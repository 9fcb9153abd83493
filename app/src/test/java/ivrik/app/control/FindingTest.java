package ivrik.app.control;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.util.List;

class FindingTest {
    @Test
    void allThatWasTypedIsThereInAnyOrder() {
        assertThat(Finding.fits("blur lane", "Lane Gaussian blur")).isTrue();
        assertThat(Finding.fits("blur lens", "Lane Gaussian blur")).isFalse();
        assertThat(Finding.fits("", "anything")).isTrue();
    }

    @Test
    void wordsOfTheTradeFindWhatIsCalledOtherwise() {
        assertThat(Finding.fits("keyframe", "Add or remove a peg here")).isTrue();
        assertThat(Finding.fits("keyf", "Add or remove a peg here")).isTrue();
        assertThat(Finding.fits("ke", "Add or remove a peg here")).isFalse();
        assertThat(Finding.fits("add effect", "Add a treatment...")).isTrue();
    }

    @Test
    void whatIsNearlyAWordIsThatWord() {
        List<String> titles = List.of("Keep as a take", "Progressives...", "Scopes");
        assertThat(Finding.nearest("progresives", titles)).contains("progressives");
        assertThat(Finding.nearest("scops", titles)).contains("scopes");
        assertThat(Finding.nearest("xyzzyxyzzy", titles)).isEmpty();
    }
}
