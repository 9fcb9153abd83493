package ivrik.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The glossary of the window explains every word in {@code docs/vocabulary.md}. */
class GlossaryTest {
    /** Every word of Ivrik's own, as listed in {@code docs/vocabulary.md}. */
    @Test
    void everyOwnWordIsExplained() throws IOException {
        List<String> ours =
                Files.readAllLines(Path.of("../docs/vocabulary.md")).stream()
                        .filter(line -> line.startsWith("| ") && !line.startsWith("| word"))
                        .map(line -> line.split("\\|")[1].strip())
                        .toList();
        assertThat(ours).contains("look", "burst");
        assertThat(Glossary.entries()).containsKeys(ours.toArray(String[]::new));
    }

    @Test
    void eachExplanationIsOneSentence() {
        assertThat(Glossary.entries().values())
                .allSatisfy(sentence -> assertThat(sentence).matches("[A-Z][^.]{10,140}\\."));
    }
}
