package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.awt.image.Raster;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

import javax.imageio.ImageIO;

/** The command as scripts use it. */
class CommandLineTest extends Commanded {
    private static final Path DEMO =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");

    @Test
    void theNeutralLookReturnsEveryBit() throws IOException {
        for (Path in :
                new Path[] {
                    picture8("a.png", false), picture8("b.png", true), picture16("c.png")
                }) {
            Path to = folder.resolve("out.png");
            assertThat(
                            ivrik(
                                    "apply",
                                    in.toString(),
                                    "--look",
                                    "neutral",
                                    "--overwrite",
                                    "-o",
                                    to.toString()))
                    .isZero();
            assertSamePixels(in, to);
        }
    }

    @Test
    void aSplitMovesOnlyTheNamedChannels() throws IOException {
        Path in = picture16("in.png");
        Path to = folder.resolve("out.png");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "rgb-split",
                                "--set",
                                "red-x=5",
                                "--set",
                                "blue-y=-3",
                                "--overwrite",
                                "-o",
                                to.toString()))
                .isZero();
        Raster a = ImageIO.read(in.toFile()).getRaster();
        Raster b = ImageIO.read(to.toFile()).getRaster();
        for (int y = 0; y < 30; y++) {
            for (int x = 0; x < 40; x++) {
                assertThat(b.getSample(x, y, 0)).isEqualTo(a.getSample(Math.max(0, x - 5), y, 0));
                assertThat(b.getSample(x, y, 1)).isEqualTo(a.getSample(x, y, 1));
                assertThat(b.getSample(x, y, 2)).isEqualTo(a.getSample(x, Math.min(29, y + 3), 2));
            }
        }
    }

    @Test
    void separatedChannelsRejoinExactly() throws IOException {
        for (Path in :
                new Path[] {
                    picture8("a.png", false), picture8("b.png", true), picture16("c.png")
                }) {
            Path channels = folder.resolve("channels-" + in.getFileName());
            Path back = folder.resolve("back.png");
            assertThat(
                            ivrik(
                                    "separate",
                                    in.toString(),
                                    "--model",
                                    "rgb",
                                    "--overwrite",
                                    "-o",
                                    channels.toString()))
                    .isZero();
            assertThat(channels.resolve("red.exr")).exists();
            JsonNode index =
                    new ObjectMapper().readTree(channels.resolve("separation.json").toFile());
            assertThat(index.path("model").asText()).isEqualTo("rgb");
            assertThat(index.path("channels")).hasSize(3);
            assertThat(ivrik("rejoin", channels.toString(), "--overwrite", "-o", back.toString()))
                    .isZero();
            assertSamePixels(in, back);
        }
        Files.delete(folder.resolve("channels-a.png/green.exr"));
        assertThat(
                        ivrik(
                                "rejoin",
                                folder.resolve("channels-a.png").toString(),
                                "--overwrite",
                                "-o",
                                folder.resolve("x.png").toString()))
                .isEqualTo(1);
        assertThat(err).contains("green.exr").contains("missing");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "cmy",
                "cmyk",
                "cmyk:0.6",
                "ycbcr-601",
                "ycbcr-709",
                "ycbcr-2020",
                "ycocg",
                "xyz",
                "lms",
                "lab",
                "oklab",
                "hsv",
                "primaries:ff5a28,28c878,4638ff",
                "primaries:dd39e0,8031bf,9d35c9,linear"
            })
    void everySeparationOfAPictureAndItsAlphaIsRejoinedExactly(String model) throws IOException {
        for (Path in :
                new Path[] {
                    picture8("a.png", false), picture8("b.png", true), picture16("c.png")
                }) {
            Path channels = folder.resolve("channels");
            Path back = folder.resolve("back.png");
            assertThat(
                            ivrik(
                                    "separate",
                                    in.toString(),
                                    "--model",
                                    model,
                                    "--overwrite",
                                    "-o",
                                    channels.toString()))
                    .isZero();
            assertThat(ivrik("rejoin", channels.toString(), "--overwrite", "-o", back.toString()))
                    .isZero();
            assertSamePixels(in, back);
            try (var files =
                    Files.list(channels)) { // a picture with alpha would add an alpha plane
                for (Path file : files.toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    @Test
    void stereoGlassesShiftChannelsApart() throws IOException {
        Path in = picture8("in.png", false);
        Path to = folder.resolve("out.png");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "anaglyph",
                                "--set",
                                "depth=8",
                                "--set",
                                "pair=green-magenta",
                                "--dither",
                                "--overwrite",
                                "-o",
                                to.toString()))
                .isZero();
        Raster a = ImageIO.read(in.toFile()).getRaster();
        Raster b = ImageIO.read(to.toFile()).getRaster();
        for (int y = 0; y < 30; y++) {
            for (int x = 4; x < 36; x++) {
                assertThat(b.getSample(x, y, 0)).isEqualTo(a.getSample(Math.min(39, x + 4), y, 0));
                assertThat(b.getSample(x, y, 1)).isEqualTo(a.getSample(x - 4, y, 1));
                assertThat(b.getSample(x, y, 2)).isEqualTo(a.getSample(Math.min(39, x + 4), y, 2));
            }
        }
        assertThat(ivrik("looks")).isZero();
        assertThat(out).contains("anaglyph").contains("depth").contains("pair");
    }

    @Test
    void coplanarPrimariesAreRefusedInOneLine() throws IOException {
        Path in = picture8("in.png", false);
        assertThat(
                        ivrik(
                                "separate",
                                in.toString(),
                                "--model",
                                "primaries:ff0000,00ff00,ffff00",
                                "--overwrite",
                                "-o",
                                folder.resolve("x").toString()))
                .isEqualTo(1);
        assertThat(err).contains("linearly dependent").contains("nearest valid primaries");
        assertThat(err.strip().lines()).hasSize(1);
        assertThat(folder.resolve("x")).doesNotExist();
    }

    @Test
    void theSameProjectGivesTheSameBytes() throws IOException {
        for (String name : new String[] {"one", "two"}) {
            assertThat(
                            ivrik(
                                    "render",
                                    DEMO.toString(),
                                    "--frames",
                                    "94-95",
                                    "--scale",
                                    "0.25",
                                    "--overwrite",
                                    "-o",
                                    folder.resolve(name + "-%04d.png").toString()))
                    .isZero();
        }
        for (int n : new int[] {94, 95}) {
            assertThat(folder.resolve("one-00" + n + ".png"))
                    .hasSameBinaryContentAs(folder.resolve("two-00" + n + ".png"));
        }
        assertThat(ImageIO.read(folder.resolve("one-0094.png").toFile()).getWidth()).isEqualTo(320);
    }

    @Test
    void jitterFollowsItsSeed() throws IOException {
        Path in = picture8("in.png", false);
        byte[][] made = new byte[3][];
        for (int i = 0; i < 3; i++) {
            Path to = folder.resolve("seed" + i + ".png");
            ivrik(
                    "apply",
                    in.toString(),
                    "--look",
                    "rgb-split",
                    "--set",
                    "shake=6",
                    "--seed",
                    i == 2 ? "9" : "4",
                    "--overwrite",
                    "-o",
                    to.toString());
            made[i] = Files.readAllBytes(to);
        }
        assertThat(made[0]).isEqualTo(made[1]).isNotEqualTo(made[2]);
    }

    @Test
    void looksAndInfoPrintTextAndJson() throws IOException {
        assertThat(ivrik("looks")).isZero();
        assertThat(out).contains("neutral").contains("red-x").contains("px");
        assertThat(ivrik("looks", "--json")).isZero();
        JsonNode looks = new ObjectMapper().readTree(out);
        assertThat(looks.get(1).path("dials")).hasSize(8);
        assertThat(looks.get(1).path("dials").get(6).path("rest").asDouble()).isZero();
        Path in = picture16("in.png");
        assertThat(ivrik("info", in.toString(), "--json")).isZero();
        JsonNode info = new ObjectMapper().readTree(out);
        assertThat(info.path("depth").asText()).isEqualTo("int16");
        assertThat(info.path("width").asInt()).isEqualTo(40);
    }

    @Test
    void checkReportsEveryFault() throws IOException {
        assertThat(ivrik("check", DEMO.toString())).isZero();
        assertThat(out).contains("no problems found");
        Path moved = folder.resolve("moved.ivrik");
        Files.writeString(moved, Files.readString(DEMO).replace("\"shift\"", "\"shove\""));
        assertThat(ivrik("check", moved.toString())).isEqualTo(1);
        assertThat(out)
                .contains("shove")
                .contains("tram.webm is missing")
                .contains("title.svg is missing");
    }

    @Test
    void faultsAreOneLineAndWrongUsageIsTwo() throws IOException {
        Path in = picture8("in.png", false);
        String to = folder.resolve("o.png").toString();
        assertThat(ivrik("apply", in.toString(), "--look", "nope", "--overwrite", "-o", to))
                .isEqualTo(1);
        assertThat(err.strip()).doesNotContain("\n").contains("nope").contains("rgb-split");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "rgb-split",
                                "--set",
                                "red-z=1",
                                "--overwrite",
                                "-o",
                                to))
                .isEqualTo(1);
        assertThat(err).contains("red-z");
        assertThat(
                        ivrik(
                                "apply",
                                folder.resolve("gone.png").toString(),
                                "--look",
                                "rgb-split",
                                "--overwrite",
                                "-o",
                                to))
                .isEqualTo(1);
        assertThat(err).contains("gone.png").contains("missing");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "rgb-split",
                                "--overwrite",
                                "-o",
                                folder.resolve("a.xyz").toString()))
                .isEqualTo(1);
        assertThat(err).contains(".png");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "rgb-split",
                                "--frames",
                                "0-4",
                                "--overwrite",
                                "-o",
                                to))
                .isEqualTo(1);
        assertThat(err).contains("no frame 4");
        assertThat(folder.resolve("o.png")).doesNotExist();
        assertThat(ivrik("apply", in.toString())).isEqualTo(2);
        assertThat(ivrik("render", DEMO.toString(), "--scale", "-1", "--overwrite", "-o", to))
                .isEqualTo(2);
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "rgb-split",
                                "--frames",
                                "x",
                                "--overwrite",
                                "-o",
                                to))
                .isEqualTo(2);
        assertThat(ivrik("--version")).isZero();
        assertThat(out).containsPattern("Ivrik \\d+\\.\\d+\\.\\d+");
        assertThat(ivrik("--help")).isZero();
        assertThat(out).contains("separate").contains("rejoin").contains("demo");
    }
}
