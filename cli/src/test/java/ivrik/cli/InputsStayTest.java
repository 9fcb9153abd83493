package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;

/** No command overwrites its inputs, and other files only if asked to. */
class InputsStayTest extends Commanded {
    private Map<Path, byte[]> files() throws IOException {
        Map<Path, byte[]> all = new HashMap<>();
        try (var walk = Files.walk(folder)) {
            for (Path file :
                    walk.filter(Files::isRegularFile)
                            .filter(f -> !f.startsWith(folder.resolve("data")))
                            .toList()) {
                all.put(file, Files.readAllBytes(file));
            }
        }
        return all;
    }

    private void refused(String reason, String... words) throws IOException {
        Map<Path, byte[]> before = files();
        assertThat(ivrik(words)).as(String.join(" ", words) + err).isEqualTo(1);
        assertThat(err).contains(reason);
        Map<Path, byte[]> after = files();
        assertThat(after.keySet()).isEqualTo(before.keySet());
        before.forEach(
                (file, bytes) -> assertThat(after.get(file)).as("%s", file).isEqualTo(bytes));
    }

    @Test
    void applyOverwritesNeitherItsPictureNorItsLook() throws IOException {
        String in = picture8("in.png", false).toString();
        String read = "is a source of this export";
        refused(read, "apply", in, "--look", "rgb-split", "--overwrite", "-o", in);
        Path link = Files.createSymbolicLink(folder.resolve("link.png"), Path.of("in.png"));
        refused(read, "apply", in, "--look", "rgb-split", "--overwrite", "-o", link.toString());
        String winding = folder.resolve("x/../in.png").toString();
        Files.createDirectories(folder.resolve("x"));
        refused(read, "apply", in, "--look", "rgb-split", "--overwrite", "-o", winding);
    }

    @Test
    void aSequenceDoesNotOverwriteItself() throws IOException {
        for (int i = 0; i < 3; i++) {
            picture8("s-%04d.png".formatted(i), false);
        }
        String pattern = folder.resolve("s-%04d.png").toString();
        String look = "rgb-split";
        refused(
                "is a source of this export",
                "apply",
                pattern,
                "--look",
                look,
                "--overwrite",
                "-o",
                pattern);
        String one = folder.resolve("s-0001.png").toString();
        refused(
                "is a source of this export",
                "apply",
                pattern,
                "--look",
                look,
                "--frames",
                "2-2",
                "--overwrite",
                "-o",
                one);
        // The output number is the frame number within the sequence, not the number of the input
        // file.
        String wider = folder.resolve("s-%d.png").toString();
        assertThat(ivrik("apply", pattern, "--look", look, "-o", wider)).as(err).isZero();
        assertThat(folder.resolve("s-2.png")).exists();
    }

    @Test
    void existingFilesAreReplacedOnlyOnRequest() throws IOException {
        String in = picture8("in.png", false).toString();
        Path out = Files.writeString(folder.resolve("out.png"), "of yesterday");
        String[] words = {"apply", in, "--look", "rgb-split", "-o", out.toString()};
        refused("already exists", words);
        assertThat(err).contains("--overwrite");
        assertThat(ivrik("apply", in, "--look", "rgb-split", "--overwrite", "-o", out.toString()))
                .isZero();
        assertSamePixels(Path.of(in), out);
    }

    @Test
    void renderOverwritesNeitherMediaNorProject() throws IOException {
        Path media = Files.createDirectories(folder.resolve("media"));
        Path picture = Files.move(picture8("in.png", false), media.resolve("in.png"));
        Path project = folder.resolve("p.ivrik");
        Files.writeString(
                project,
                """
                {"format": "ivrik-project", "version": 1, "name": "p",
                 "sequence": {"size": [40, 30], "rate": "24"},
                 "sources": [{"id": "in", "name": "in", "path": "media/in.png", "kind": "still",
                   "size": [40, 30], "rate": "24", "frames": 1, "sound": false}],
                 "layers": []}
                """);
        refused(
                "is a source of this export",
                "render",
                project.toString(),
                "--overwrite",
                "-o",
                picture.toString());
        Path disguised = Files.createSymbolicLink(folder.resolve("p.png"), project);
        refused(
                "is a source of this export",
                "render",
                project.toString(),
                "--overwrite",
                "-o",
                disguised.toString());
    }

    @Test
    void separateAndRejoinLeaveTheirInputsAlone() throws IOException {
        String in = picture8("in.png", false).toString();
        Path channels = folder.resolve("channels");
        assertThat(ivrik("separate", in, "--model", "rgb", "-o", channels.toString())).isZero();
        for (String channel : List.of("red.exr", "green.exr", "blue.exr", "separation.json")) {
            String out = channels.resolve(channel).toString();
            refused(
                    channel.endsWith("exr") ? "is a source of this export" : "",
                    "rejoin",
                    channels.toString(),
                    "--overwrite",
                    "-o",
                    out);
        }
        String green = channels.resolve("green.exr").toString();
        refused(
                "is a source of this export",
                "separate",
                green,
                "--model",
                "rgb",
                "--overwrite",
                "-o",
                channels.toString());
        refused("already", "separate", in, "--model", "rgb", "-o", channels.toString());
        assertThat(
                        ivrik(
                                "separate",
                                in,
                                "--model",
                                "rgb",
                                "--overwrite",
                                "-o",
                                channels.toString()))
                .isZero();
    }

    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void theNextExportDeletesLeftoversOfAKilledOne() throws Exception {
        Path tram = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");
        Path out = folder.resolve("long.mkv");
        Process process =
                Separately.ivrik(
                        folder,
                        "apply",
                        tram.toString(),
                        "--look",
                        "channel-blur",
                        "--set",
                        "red=40",
                        "-o",
                        out.toString());
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        while (parts().isEmpty() && System.nanoTime() < end) {
            Thread.sleep(20);
        }
        process.destroyForcibly().waitFor();
        assertThat(parts()).hasSize(1);
        assertThat(out).doesNotExist();
        String in = picture8("in.png", false).toString();
        assertThat(ivrik("apply", in, "--look", "rgb-split", "-o", out.toString())).isZero();
        assertThat(parts()).isEmpty();
        assertThat(out).exists();
    }

    private List<Path> parts() throws IOException {
        try (var files = Files.list(folder)) {
            return files.filter(f -> f.toString().endsWith(".part")).toList();
        }
    }

    @Test
    void channelsOfDifferentSizesAreRefusedByName() throws Exception {
        String in = picture8("in.png", true).toString();
        Path channels = folder.resolve("channels");
        assertThat(ivrik("separate", in, "--model", "rgb", "-o", channels.toString())).isZero();
        Path small = folder.resolve("small");
        String tiny = folder.resolve("tiny.png").toString();
        javax.imageio.ImageIO.write(
                new java.awt.image.BufferedImage(7, 5, java.awt.image.BufferedImage.TYPE_INT_ARGB),
                "png",
                Path.of(tiny).toFile());
        assertThat(ivrik("separate", tiny, "--model", "rgb", "-o", small.toString())).isZero();
        for (String channel : List.of("red.exr", "blue.exr", "alpha.exr")) {
            Path mixed = Files.createDirectories(folder.resolve("mixed-" + channel));
            for (Path file : files().keySet()) {
                if (file.getParent().equals(channels)) {
                    Files.copy(file, mixed.resolve(file.getFileName()));
                }
            }
            Files.copy(
                    small.resolve(channel),
                    mixed.resolve(channel),
                    java.nio.file.StandardCopyOption.REPLACE_EXISTING);
            Path out = folder.resolve("out-" + channel + ".png");
            Process process =
                    Separately.ivrik(folder, "rejoin", mixed.toString(), "-o", out.toString());
            String said = new String(process.getErrorStream().readAllBytes());
            assertThat(process.waitFor()).as(said).isEqualTo(1);
            assertThat(said).contains("red.exr").contains("7x5").contains("40x30");
            assertThat(out).doesNotExist();
        }
    }

    @Test
    void aSeparationCannotNameFilesOutsideItsFolder() throws IOException {
        String in = picture8("in.png", false).toString();
        Path channels = folder.resolve("channels");
        assertThat(ivrik("separate", in, "--model", "rgb", "-o", channels.toString())).isZero();
        Path index = channels.resolve("separation.json");
        String text = Files.readString(index);
        String out = folder.resolve("out.png").toString();
        for (String bad :
                List.of(
                        text.replace("\"red.exr\"", "\"../channels/red.exr\""),
                        text.replace("\"red.exr\"", "null"),
                        text.replaceAll("(?s)\"channels\".*?\\]", "\"channels\" : null"),
                        text.replace("INT8", "INT9"),
                        "null",
                        "[]")) {
            Files.writeString(index, bad);
            refused("separation.json", "rejoin", channels.toString(), "-o", out);
            assertThat(err).doesNotContain("internal error in Ivrik");
        }
    }
}
