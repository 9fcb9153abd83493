package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** The names of all classes that stand in files of their own, in all modules. */
class ClassNamesTest {
    private static List<Path> sources() throws IOException {
        Path tree = Path.of("").toAbsolutePath().getParent();
        try (Stream<Path> folders = Files.list(tree)) {
            return folders.map(f -> f.resolve("src/main/java")).filter(Files::isDirectory).toList();
        }
    }

    @Test
    void eachHasOneMeaning() throws IOException {
        List<String> names = new ArrayList<>();
        for (Path sources : sources()) {
            try (Stream<Path> files = Files.walk(sources)) {
                files.map(f -> f.getFileName().toString())
                        .filter(f -> f.endsWith(".java") && !f.equals("package-info.java"))
                        .forEach(names::add);
            }
        }
        assertThat(names).contains("Renderer.java", "Ivrik.java").doesNotHaveDuplicates();
    }
}
