package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.LoggerContext;
import ch.qos.logback.classic.util.LogbackMDCAdapter;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

class LogFileTest {
    @TempDir Path folder;
    private final LoggerContext context = new LoggerContext();
    private final String before = System.getProperty("ivrik.log");
    private Path file;
    private Logger log;

    @BeforeEach
    void configure() {
        file = folder.resolve("ivrik.log");
        System.setProperty("ivrik.log", file.toString());
        context.setMDCAdapter(new LogbackMDCAdapter()); // slf4j sets the adapter likewise
        new LogFile().configure(context);
        log = context.getLogger("ivrik.media.decode.MovieReader");
    }

    @AfterEach
    void asBefore() {
        context.stop();
        if (before == null) {
            System.clearProperty("ivrik.log");
        } else {
            System.setProperty("ivrik.log", before);
        }
    }

    @Test
    void aLogLineHasTimeLevelSourceAndMessage() throws IOException {
        log.debug("nobody asked");
        log.warn("{} is damaged", "tram.mov");
        assertThat(Files.readAllLines(file))
                .singleElement()
                .asString()
                .matches(
                        "\\d{4}-\\d\\d-\\d\\d \\d\\d:\\d\\d:\\d\\d,\\d{3} WARN "
                                + " i\\.m\\.decode\\.MovieReader tram\\.mov is damaged");
    }

    /** The log checks its size periodically. */
    @Test
    void aLongLogIsRotatedAndOneFormerLogIsKept() throws Exception {
        String line = "x".repeat(1 << 16);
        Path aside = folder.resolve("ivrik.log.1");
        for (int i = 0; i < 400 && !Files.exists(aside); i++) {
            log.info(line);
            Thread.sleep(20);
        }
        assertThat(aside).exists();
        assertThat(Files.size(aside)).isGreaterThanOrEqualTo(2 << 20);
        log.info("after it");
        assertThat(Files.readString(file)).endsWith("after it\n");
        assertThat(folder.toFile().list()).hasSize(2);
    }
}
