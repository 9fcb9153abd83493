package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.DataBufferUShort;
import java.awt.image.Raster;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

import javax.imageio.ImageIO;

/** The command as scripts use it; pictures are made and read by the JDK's own code. */
class CommandLineTest {
    private static final Path DEMO =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/lantern-week.ivrik");

    @TempDir Path folder;

    private String out;
    private String err;

    private int ivrik(String... words) {
        StringWriter o = new StringWriter();
        StringWriter e = new StringWriter();
        int exit = Ivrik.run(new PrintWriter(o, true), new PrintWriter(e, true), words);
        out = o.toString();
        err = e.toString();
        return exit;
    }

    @BeforeEach
    void settingsOfItsOwn() {
        System.setProperty("ivrik.data", folder.resolve("data").toString());
    }

    private Path picture8(String name, boolean alpha) throws IOException {
        BufferedImage image =
                new BufferedImage(
                        40, 30, alpha ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Random random = new Random(5);
        for (int y = 0; y < 30; y++) {
            for (int x = 0; x < 40; x++) {
                image.setRGB(x, y, random.nextInt() & (x == 3 ? 0x00ffffff : -1));
            }
        }
        Path file = folder.resolve(name);
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private Path picture16(String name) throws IOException {
        short[] samples = new short[40 * 30 * 3];
        Random random = new Random(6);
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (short) random.nextInt();
        }
        var model =
                new java.awt.image.ComponentColorModel(
                        java.awt.color.ColorSpace.getInstance(java.awt.color.ColorSpace.CS_sRGB),
                        false,
                        false,
                        java.awt.Transparency.OPAQUE,
                        DataBuffer.TYPE_USHORT);
        var raster =
                Raster.createInterleavedRaster(
                        new DataBufferUShort(samples, samples.length),
                        40,
                        30,
                        120,
                        3,
                        new int[] {0, 1, 2},
                        null);
        Path file = folder.resolve(name);
        ImageIO.write(new BufferedImage(model, raster, false, null), "png", file.toFile());
        return file;
    }

    private static void assertSamePixels(Path a, Path b) throws IOException {
        Raster p = ImageIO.read(a.toFile()).getRaster();
        Raster q = ImageIO.read(b.toFile()).getRaster();
        assertThat(q.getNumBands()).isEqualTo(p.getNumBands());
        assertThat(q.getSampleModel().getDataType()).isEqualTo(p.getSampleModel().getDataType());
        assertThat(q.getPixels(0, 0, q.getWidth(), q.getHeight(), (int[]) null))
                .containsExactly(p.getPixels(0, 0, p.getWidth(), p.getHeight(), (int[]) null));
    }

    @Test
    void inRegisterReturnsEveryBit() throws IOException {
        for (Path in :
                new Path[] {
                    picture8("a.png", false), picture8("b.png", true), picture16("c.png")
                }) {
            Path to = folder.resolve("out.png");
            assertThat(ivrik("apply", in.toString(), "--look", "in-register", "-o", to.toString()))
                    .isZero();
            assertSamePixels(in, to);
        }
    }

    @Test
    void aSplitMovesExactlyTheChannelsItNames() throws IOException {
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
    void whatIsSeparatedRejoinsExactly() throws IOException {
        for (Path in :
                new Path[] {
                    picture8("a.png", false), picture8("b.png", true), picture16("c.png")
                }) {
            Path lanes = folder.resolve("lanes-" + in.getFileName());
            Path back = folder.resolve("back.png");
            assertThat(ivrik("separate", in.toString(), "--model", "rgb", "-o", lanes.toString()))
                    .isZero();
            assertThat(lanes.resolve("red.exr")).exists();
            JsonNode index = new ObjectMapper().readTree(lanes.resolve("separation.json").toFile());
            assertThat(index.path("model").asText()).isEqualTo("rgb");
            assertThat(index.path("lanes")).hasSize(3);
            assertThat(ivrik("rejoin", lanes.toString(), "-o", back.toString())).isZero();
            assertSamePixels(in, back);
        }
        Files.delete(folder.resolve("lanes-a.png/green.exr"));
        assertThat(
                        ivrik(
                                "rejoin",
                                folder.resolve("lanes-a.png").toString(),
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
                "trio:ff5a28,28c878,4638ff"
            })
    void everySeparationOfAPictureAndItsAlphaIsRejoinedExactly(String model) throws IOException {
        for (Path in :
                new Path[] {
                    picture8("a.png", false), picture8("b.png", true), picture16("c.png")
                }) {
            Path lanes = folder.resolve("lanes");
            Path back = folder.resolve("back.png");
            assertThat(ivrik("separate", in.toString(), "--model", model, "-o", lanes.toString()))
                    .isZero();
            assertThat(ivrik("rejoin", lanes.toString(), "-o", back.toString())).isZero();
            assertSamePixels(in, back);
            try (var files = Files.list(lanes)) { // one with alpha would leave its plane behind
                for (Path file : files.toList()) {
                    Files.delete(file);
                }
            }
        }
    }

    @Test
    void stereoGlassesMoveTheHalvesOfAPictureApart() throws IOException {
        Path in = picture8("in.png", false);
        Path to = folder.resolve("out.png");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "stereo-glasses",
                                "--set",
                                "depth=8",
                                "--set",
                                "pair=1",
                                "--dither",
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
        assertThat(out).contains("stereo-glasses").contains("depth").contains("pair");
    }

    @Test
    void aTrioInOnePlaneIsRefusedInOneLine() throws IOException {
        Path in = picture8("in.png", false);
        assertThat(
                        ivrik(
                                "separate",
                                in.toString(),
                                "--model",
                                "trio:ff0000,00ff00,ffff00",
                                "-o",
                                folder.resolve("x").toString()))
                .isEqualTo(1);
        assertThat(err).contains("one plane").contains("the nearest that work are");
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
                    "-o",
                    to.toString());
            made[i] = Files.readAllBytes(to);
        }
        assertThat(made[0]).isEqualTo(made[1]).isNotEqualTo(made[2]);
    }

    @Test
    void looksAndInfoAreSaidInWordsAndInJson() throws IOException {
        assertThat(ivrik("looks")).isZero();
        assertThat(out).contains("in-register").contains("red-x").contains("px");
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

    @ParameterizedTest
    @CsvSource({
        "channel-blur, red green blue",
        "lens-fringe, amount smear",
        "spectrum, length",
        "block-glitch, strength",
        "ghost-pins, amount",
        "max-min, radius",
        "glow-one-colour, length"
    })
    void aLookAtRestShowsItselfOffAndAtZeroIsBitExact(String look, String dials)
            throws IOException {
        for (Path in : new Path[] {picture8("a.png", false), picture8("b.png", true)}) {
            Path to = folder.resolve("out.png");
            List<String> words =
                    new ArrayList<>(
                            List.of("apply", in.toString(), "--look", look, "-o", to.toString()));
            assertThat(ivrik(words.toArray(String[]::new))).isZero();
            assertThat(Files.readAllBytes(to)).isNotEmpty();
            for (String dial : dials.split(" ")) {
                words.addAll(List.of("--set", dial + "=0"));
            }
            assertThat(ivrik(words.toArray(String[]::new))).isZero();
            assertSamePixels(in, to);
        }
    }

    @Test
    void checkSaysAllThatIsWrong() throws IOException {
        assertThat(ivrik("check", DEMO.toString())).isZero();
        assertThat(out).contains("nothing is wrong");
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
        assertThat(ivrik("apply", in.toString(), "--look", "nope", "-o", to)).isEqualTo(1);
        assertThat(err.strip()).doesNotContain("\n").contains("nope").contains("rgb-split");
        assertThat(
                        ivrik(
                                "apply",
                                in.toString(),
                                "--look",
                                "rgb-split",
                                "--set",
                                "red-z=1",
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
                                "-o",
                                to))
                .isEqualTo(1);
        assertThat(err).contains("no frame 4");
        assertThat(folder.resolve("o.png")).doesNotExist();
        assertThat(ivrik("apply", in.toString())).isEqualTo(2);
        assertThat(ivrik("render", DEMO.toString(), "--scale", "-1", "-o", to)).isEqualTo(2);
        assertThat(ivrik("apply", in.toString(), "--look", "rgb-split", "--frames", "x", "-o", to))
                .isEqualTo(2);
        assertThat(ivrik("--version")).isZero();
        assertThat(out).contains("Ivrik 0.1.0");
        assertThat(ivrik("--help")).isZero();
        assertThat(out).contains("separate").contains("rejoin").contains("demo");
    }
}
