package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** The command in a shell that may write no file beyond 16 kB, as a disk that runs full in the middle. */
@EnabledOnOs({OS.LINUX, OS.MAC})
class FullDiskTest {
    private static final Path TRAM =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");

    @TempDir Path folder;

    @ParameterizedTest
    @ValueSource(strings = {"out.mkv", "out.mp4", "out.webm", "out.png", "out.tif", "out.exr"})
    void whatDoesNotFitLeavesWhatWasThereBeforeAndSaysSo(String name)
            throws IOException, InterruptedException {
        Path out = Files.writeString(folder.resolve(name), "the version of yesterday");
        Path errors = folder.resolve("errors.txt");
        Process process =
                new ProcessBuilder(
                                Stream.concat(
                                                Stream.of(
                                                        "bash",
                                                        "-c",
                                                        "ulimit -f 16; exec \"$@\"",
                                                        "bash"),
                                                Separately.command(
                                                        "apply",
                                                        TRAM.toString(),
                                                        "--look",
                                                        "rgb-split",
                                                        "--frames",
                                                        name.matches(".*(mkv|mp4|webm)")
                                                                ? "0-15"
                                                                : "3-3",
                                                        "--overwrite",
                                                        "-o",
                                                        out.toString())
                                                        .stream())
                                        .toList())
                        .redirectError(errors.toFile())
                        .start();
        assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
        String said = Files.readString(errors);
        assertThat(process.exitValue()).as(said).isEqualTo(1);
        assertThat(said.lines().filter(l -> l.startsWith("ivrik: ")).toList())
                .singleElement()
                .asString()
                .contains(name)
                .containsAnyOf("space", "room", "too large");
        assertThat(out).hasContent("the version of yesterday");
        try (var left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(out, errors);
        }
    }
}
