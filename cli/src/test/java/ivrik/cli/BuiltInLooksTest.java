package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The built-in looks on the command line. */
class BuiltInLooksTest extends Commanded {
    /** {@code looks --json} gives the dial values of rest, as scripts read them. */
    @Test
    void everyLookIsBitExactAtRest() throws IOException {
        assertThat(ivrik("looks", "--json")).isZero();
        JsonNode looks = new ObjectMapper().readTree(out);
        assertThat(looks.size()).isGreaterThan(24);
        for (JsonNode look : looks) {
            List<String> words = new ArrayList<>();
            look.get("zero")
                    .properties()
                    .forEach(d -> words.addAll(List.of("--set", d.getKey() + "=" + d.getValue())));
            assertThat(words).hasSize(2 * look.get("dials").size());
            for (Path in : new Path[] {picture8("a.png", false), picture16("b.png")}) {
                Path to = folder.resolve("out.png");
                List<String> all =
                        new ArrayList<>(List.of("apply", in.toString(), "--overwrite", "-o"));
                all.addAll(List.of(to.toString(), "--look", look.get("name").asText()));
                all.addAll(words);
                assertThat(ivrik(all.toArray(String[]::new)))
                        .as(look.get("name").asText())
                        .isZero();
                assertSamePixels(in, to);
            }
        }
    }

    @Test
    void aDialOfChoicesRefusesUnknownChoices() throws IOException {
        Path in = picture8("a.png", false);
        for (String word : List.of("shadow-mask", "1")) {
            assertThat(masked(in, word)).isZero();
        }
        assertThat(masked(in, "round")).isNotZero();
        assertThat(err)
                .contains("aperture-grille, slot-mask, shadow-mask, custom-image")
                .contains("'round'");
    }

    @Test
    void tooFineAMaskIsReportedWithTheNextUsablePitch() throws IOException {
        String in = picture8("a.png", false).toString();
        String to = folder.resolve("to.png").toString();
        assertThat(ivrik("apply", in, "--look", "crt", "--set", "strength=1", "-o", to)).isZero();
        assertThat(err).doesNotContain("pitch");
        assertThat(
                        ivrik(
                                "apply",
                                in,
                                "--look",
                                "crt",
                                "--set",
                                "strength=1",
                                "--set",
                                "pitch=2.2",
                                "--overwrite",
                                "-o",
                                to))
                .isZero();
        assertThat(err).contains("note: ", "2.2 px", "the next usable pitch is 2.5 px");
    }

    private int masked(Path in, String word) {
        String to = folder.resolve(word + ".png").toString();
        return ivrik("apply", in.toString(), "--look", "crt", "--set", "mask=" + word, "-o", to);
    }

    @ParameterizedTest
    @CsvSource({
        "channel-blur, red green blue",
        "chromatic-aberration, amount smear",
        "spectral-dispersion, length",
        "block-glitch, strength",
        "ghost-warp, amount",
        "dilate-erode, radius",
        "colour-streak, length"
    })
    void aLookHasAnEffectByDefaultAndIsBitExactAtRest(String look, String dials)
            throws IOException {
        for (Path in : new Path[] {picture8("a.png", false), picture8("b.png", true)}) {
            Path to = folder.resolve("out.png");
            List<String> words =
                    new ArrayList<>(
                            List.of(
                                    "apply",
                                    in.toString(),
                                    "--look",
                                    look,
                                    "--overwrite",
                                    "-o",
                                    to.toString()));
            assertThat(ivrik(words.toArray(String[]::new))).isZero();
            assertThat(Files.readAllBytes(to)).isNotEmpty();
            for (String dial : dials.split(" ")) {
                words.addAll(List.of("--set", dial + "=0"));
            }
            assertThat(ivrik(words.toArray(String[]::new))).isZero();
            assertSamePixels(in, to);
        }
    }
}
