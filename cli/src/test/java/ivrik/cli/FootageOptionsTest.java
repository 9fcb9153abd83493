package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The options for reading and writing footage. */
class FootageOptionsTest extends Commanded {
    private static final Path TRAM =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");

    private JsonNode info(Path file) throws IOException {
        assertThat(ivrik("info", file.toString(), "--json")).as(err).isZero();
        return new ObjectMapper().readTree(out);
    }

    @Test
    void aSequenceHasTheGivenRate() throws IOException {
        for (int i = 0; i < 4; i++) {
            picture8("s-%04d.png".formatted(i), false);
        }
        Path movie = folder.resolve("s.mkv");
        String[] words = {
            "apply",
            folder.resolve("s-%04d.png").toString(),
            "--look",
            "neutral",
            "-o",
            movie.toString(),
            "--rate",
            "30000/1001"
        };
        assertThat(ivrik(words)).as(err).isZero();
        assertThat(info(movie).path("rate").asText()).isEqualTo("30000/1001");
        words[words.length - 1] = "0/0";
        assertThat(ivrik(words)).isEqualTo(2);
        assertThat(err).contains("a frame rate");
        words[words.length - 1] = "-5";
        assertThat(ivrik(words)).isEqualTo(2);
    }

    @Test
    void soundIsOptional() throws IOException {
        for (boolean sound : new boolean[] {true, false}) {
            Path out = folder.resolve(sound + ".mkv");
            String[] words = {
                "apply",
                TRAM.toString(),
                "--look",
                "neutral",
                "--frames",
                "0-3",
                "-o",
                out.toString(),
                sound ? "--dither" : "--no-sound"
            };
            assertThat(ivrik(words)).as(err).isZero();
            assertThat(info(out).path("sound").asBoolean()).isEqualTo(sound);
        }
    }

    @Test
    void lossesOfAFormatAreReported() throws IOException {
        String in = picture8("in.png", true).toString();
        Path odd = folder.resolve("odd.mp4");
        assertThat(ivrik("apply", in, "--look", "neutral", "-o", odd.toString())).as(err).isZero();
        assertThat(err).contains("ivrik: note: ").contains("composited over black");
        assertThat(
                        ivrik(
                                "apply",
                                in,
                                "--look",
                                "neutral",
                                "--overwrite",
                                "-o",
                                odd.toString(),
                                "--sampling",
                                "444"))
                .isEqualTo(1);
        assertThat(err).contains("4:4:4").contains("choose 420");
        assertThat(
                        ivrik(
                                "apply",
                                in,
                                "--look",
                                "neutral",
                                "--format",
                                "av1",
                                "--overwrite",
                                "-o",
                                odd.toString(),
                                "--sampling",
                                "444"))
                .as(err)
                .isZero();
    }

    /** In its own process, because encoders write their messages to the terminal. */
    @ParameterizedTest
    @ValueSource(strings = {"av1", "h264", "vp9", "prores"})
    void encodersAreQuiet(String format) throws Exception {
        Path out = folder.resolve("out.bin");
        Process process =
                Separately.ivrik(
                        folder,
                        "apply",
                        TRAM.toString(),
                        "--look",
                        "rgb-split",
                        "--format",
                        format,
                        "--frames",
                        "0-2",
                        "-o",
                        out.toString());
        String said =
                new String(process.getInputStream().readAllBytes())
                        + new String(process.getErrorStream().readAllBytes());
        assertThat(process.waitFor()).as(said).isZero();
        assertThat(said.lines().filter(l -> !l.startsWith("WARNING"))).isEmpty();
    }

    @Test
    void aBrokenVectorGraphicHasOneLineAndNoStackTrace() throws Exception {
        Path bad = Files.writeString(folder.resolve("bad.svg"), "<svg xmlns='x'><rect</svg>");
        Process process = Separately.ivrik(folder, "info", bad.toString());
        String said = new String(process.getErrorStream().readAllBytes());
        assertThat(process.waitFor()).isEqualTo(1);
        assertThat(said.lines().filter(l -> !l.startsWith("WARNING")).toList())
                .singleElement()
                .asString()
                .startsWith("ivrik: ")
                .contains("bad.svg");
    }

    @Test
    void infoDecodesTheWholeFile() throws IOException {
        byte[] png = Files.readAllBytes(picture16("whole.png"));
        Path cut = folder.resolve("cut.png");
        Files.write(cut, java.util.Arrays.copyOf(png, 60));
        assertThat(ivrik("info", cut.toString())).isEqualTo(1);
        assertThat(err).contains("cut.png").doesNotContain("internal error in Ivrik");
    }

    @Test
    void helpListsTheOptions() {
        assertThat(ivrik("apply", "--help")).isZero();
        assertThat(out)
                .contains("--rate", "--sampling", "--no-sound", "--overwrite", "--odd", "--layer")
                .contains("--track", "--no-conversion", "--format");
    }
}
