package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The arguments of the window, with and without the command line parser. */
class WindowStartTest extends Commanded {
    @BeforeEach
    void nothingWasReported() {
        WindowStandIn.reported = null;
    }

    private void assertReported(String... words) {
        assertThat(WindowStandIn.reported).containsExactly(words);
    }

    @Test
    void withoutArgumentsTheWindowOpens() {
        assertThat(ivrik()).isEqualTo(WindowStandIn.EXIT);
        assertReported();
    }

    @Test
    void demoOpensTheDemoProject() {
        assertThat(ivrik("demo")).isEqualTo(WindowStandIn.EXIT);
        assertReported("--demo");
        assertThat(ivrik("screenshots", "there")).isEqualTo(WindowStandIn.EXIT);
        assertReported("--screenshots", "there");
    }

    /** The commands that fill the class cache succeed. */
    @Test
    void theClassCacheRunEndsWithTheDemo() {
        assertThat(ivrik("rehearse")).isEqualTo(WindowStandIn.EXIT);
        assertReported("--demo");
        assertThat(ivrik("--help")).isZero();
        assertThat(out).contains("render").doesNotContain("rehearse");
    }

    @Test
    void filesArePassedOnWhetherTheyExistOrNot() throws IOException {
        Path tram = Files.createFile(folder.resolve("tram.mov"));
        String gone = folder.resolve("gone.mov").toString();
        assertThat(ivrik(tram.toString(), tram.toString())).isEqualTo(WindowStandIn.EXIT);
        assertReported(tram.toString(), tram.toString());
        assertThat(ivrik(tram.toString(), gone)).isEqualTo(WindowStandIn.EXIT);
        assertReported(tram.toString(), gone);
    }

    @Test
    void optionsAndCommandsAreNotTakenForFiles() throws IOException {
        Path tram = Files.createFile(folder.resolve("tram.mov"));
        assertThat(ivrik(tram.toString(), "--no-such-option")).isEqualTo(2);
        assertThat(ivrik("info", tram.toString())).as("the cache is empty").isEqualTo(1);
        assertThat(WindowStandIn.reported).isNull();
    }
}
