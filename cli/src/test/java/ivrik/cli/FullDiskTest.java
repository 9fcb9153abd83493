package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** Runs the command with a file size limit of 16 kB, as on a disk that fills up. */
@EnabledOnOs({OS.LINUX, OS.MAC})
class FullDiskTest {
    @TempDir Path folder;

    /** Writes a picture that no encoder compresses well. */
    private Path noise() {
        Plane[] planes = new Plane[3];
        Random random = new Random(1);
        for (int c = 0; c < 3; c++) {
            planes[c] = Plane.of(256, 144);
            for (int i = 0; i < planes[c].data().length; i++) {
                planes[c].data()[i] = random.nextFloat();
            }
        }
        Path file = folder.resolve("noise.png");
        Frame frame = Frame.opaque(planes[0], planes[1], planes[2]);
        StillWriter.write(frame, file, Depth.INT8, Workers.shared());
        return file;
    }

    @ParameterizedTest
    @ValueSource(strings = {"out.mkv", "out.mp4", "out.webm", "out.png", "out.tif", "out.exr"})
    void aFullDiskKeepsTheFormerFileAndIsReported(String name)
            throws IOException, InterruptedException {
        Path out = Files.writeString(folder.resolve(name), "the version of yesterday");
        Path noise = noise();
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
                                                        noise.toString(),
                                                        "--look",
                                                        "rgb-split",
                                                        "--frames",
                                                        "0-0",
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
                .containsAnyOf("disk space", "disk quota");
        assertThat(out).hasContent("the version of yesterday");
        try (var left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(out, noise, errors);
        }
    }
}
