package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

class NativesTest {
    private static final List<String> LIBRARIES =
            List.of("org.bytedeco.javacpp.cachedir", "javafx.cachedir");

    private final Map<String, String> before = new HashMap<>();

    @BeforeEach
    void asAtTheStart() {
        LIBRARIES.forEach(name -> before.put(name, System.getProperty(name)));
        LIBRARIES.forEach(System::clearProperty);
    }

    @AfterEach
    void asBefore() {
        LIBRARIES.forEach(System::clearProperty);
        before.forEach(
                (name, value) -> {
                    if (value != null) {
                        System.setProperty(name, value);
                    }
                });
    }

    /** Two processes that unpacked into one folder blocked each other with its lock. */
    @Test
    void eachLibraryHasItsOwnFolder() {
        Ivrik.unpackIntoOurFolder();
        assertThat(LIBRARIES.stream().map(System::getProperty).distinct())
                .hasSize(2)
                .allMatch(folder -> folder.contains("natives"));
    }

    @Test
    void librariesKeepTheirSettings() {
        System.setProperty(LIBRARIES.getFirst(), "/elsewhere");
        Ivrik.unpackIntoOurFolder();
        assertThat(System.getProperty(LIBRARIES.getFirst())).isEqualTo("/elsewhere");
    }
}
