package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.util.List;

/** The names of all classes that stand in files of their own, in all modules. */
class ClassNamesTest {
    @Test
    void eachHasOneMeaning() throws IOException {
        List<String> names =
                SourceFiles.all().stream()
                        .map(file -> file.getFileName().toString())
                        .filter(name -> !name.equals("package-info.java"))
                        .toList();
        assertThat(names).contains("Renderer.java", "Ivrik.java").doesNotHaveDuplicates();
    }
}
