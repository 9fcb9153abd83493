package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** The names of all top-level classes. */
class ClassNamesTest {
    @Test
    void classNamesAreUniqueWithinTheirModule() throws IOException {
        Map<Path, List<String>> modules =
                SourceFiles.all().stream()
                        .filter(file -> !file.endsWith("package-info.java"))
                        .collect(
                                groupingBy(
                                        file -> SourceFiles.tree().relativize(file).getName(0),
                                        mapping(file -> file.getFileName().toString(), toList())));
        assertThat(modules.get(Path.of("core"))).contains("Renderer.java");
        assertThat(modules.get(Path.of("cli"))).contains("Ivrik.java");
        assertThat(modules.values()).allSatisfy(names -> assertThat(names).doesNotHaveDuplicates());
    }
}
