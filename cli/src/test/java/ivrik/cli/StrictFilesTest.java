package ivrik.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.treatment.Treatments;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

import javax.imageio.ImageIO;

/**
 * Files written by hand: faults are reported by their place, and absent fields take their defaults.
 */
class StrictFilesTest extends Commanded {
    private Path look(String steps) throws IOException {
        return Files.writeString(
                folder.resolve("hand.look.json"),
                "{\"format\": \"ivrik-look\", \"version\": 3, \"name\": \"hand\", \"separation\":"
                        + " \"rgb\", \"steps\": ["
                        + steps
                        + "]}");
    }

    private static String values(String treatment, String values) {
        return "{\"id\": \"a\", \"treatment\": \""
                + treatment
                + "\", \"channels\": [{\"values\": {"
                + values
                + "}}, {}, {}]}";
    }

    @ParameterizedTest
    @CsvSource({
        "gaussian, '\"radius\": 5000', 'treatment a, channel 1, values, radius: 5000 is outside 0"
                + " to'",
        "gaussian, '\"radios\": 5', 'unknown field ''radios'' skipped; did you mean" + " radius?'",
        "gaussian, '\"radius\": \"wide\"', 'is not a number; 0 used'",
        "gaussian, '\"radius\": {\"keyframes\": [{\"frame\": 1.5, \"value\": 2}]}', 'must be an"
                + " integer'",
        "gausian, '', 'no treatment is named ''gausian'''",
        "curve, '\"point.0.on\": 4', 'unknown field ''point.0.on'''"
    })
    void checkKnowsEveryTreatmentsNumbers(String treatment, String values, String reported)
            throws IOException {
        assertThat(ivrik("check", look(values(treatment, values)).toString())).isEqualTo(1);
        assertThat(out).contains(reported).doesNotContain("jackson").doesNotContain("Exception");
    }

    @ParameterizedTest
    @CsvSource({
        "'\"size\": [0, 4]', 'each number must be an integer from 1 to 16384'",
        "'\"size\": [40000, 4]', 'from 1 to 16384'",
        "'\"rate\": \"0\"', 'outside the range 1/100 to 1000'",
        "'\"rate\": \"fast\"', 'outside the range 1/100 to 1000'",
        "'\"frames\": -3', '-3 lies outside 1 to'",
        "'\"kind\": \"film\"', 'choose one of: movie, still, sequence'",
        "'\"settings\": {\"soundTrak\": 2}', 'did you mean soundTrack?'"
    })
    void checkSaysWhatASourceCannotBe(String field, String reported) throws IOException {
        String source = "\"id\": \"s\", \"path\": \"s.png\", \"size\": [4, 4], \"rate\": \"24\"";
        String name = field.substring(0, field.indexOf(':') + 1);
        String changed =
                source.contains(name)
                        ? source.replaceFirst(
                                java.util.regex.Pattern.quote(name) + " (\\[.*?\\]|\"[^\"]*\")",
                                field)
                        : source + ", " + field;
        Path project =
                Files.writeString(
                        folder.resolve("hand.ivrik"),
                        "{\"format\": \"ivrik-project\", \"version\": 3, \"sources\": [{"
                                + changed
                                + "}]}");
        assertThat(ivrik("check", project.toString())).isEqualTo(1);
        assertThat(out).contains("source s").contains(reported);
    }

    @Test
    void namedStepsMustExist() throws IOException {
        Path project =
                Files.writeString(
                        folder.resolve("hand.ivrik"),
                        """
                        {"format": "ivrik-project", "version": 3, "layers": [{"id": "l",
                          "clips": [{"source": "gone", "start": 0, "length": 4}],
                          "looks": [{"id": "look-1", "look": {"separation": "rgb",
                            "mask": {"matte": {"layer": "nobody"}},
                            "channels": [{"channelSource": {"source": "far"}}, {}, {}],
                            "steps": [{"id": "m", "treatment": "screen-pattern", "picture": "none"}],
                            "dials": [{"name": "d", "links": [{"target": "m2.red.amount"}]}]}}]}]}
                        """);
        assertThat(ivrik("check", project.toString())).isEqualTo(1);
        assertThat(out)
                .contains("layer l uses an unknown source: gone")
                .contains("treatment m uses an unknown source: none")
                .contains("Red uses an unknown source: far")
                .contains("has a mask that uses an unknown layer: nobody")
                .contains("no value at m2.red.amount to drive")
                .contains("5 problems found in");
    }

    @Test
    void treatmentsAreListedWithTheirRanges() throws IOException {
        assertThat(ivrik("treatments")).isZero();
        assertThat(out).contains("gaussian (per channel)").contains("exposure (whole picture)");
        assertThat(ivrik("treatments", "--json")).isZero();
        JsonNode all = new ObjectMapper().readTree(out);
        assertThat(all).hasSameSizeAs(Treatments.all());
        for (JsonNode each : all) {
            var d = Treatments.named(each.path("name").asText()).description();
            for (JsonNode p : each.path("parameters")) {
                var known = d.parameter(p.path("name").asText());
                assertThat(p.path("min").asDouble()).isEqualTo(known.min());
                assertThat(p.path("max").asDouble()).isEqualTo(known.max());
                assertThat(p.path("default").asDouble()).isEqualTo(known.rest());
            }
        }
    }

    @Test
    void aPictureTreatmentInALookFileIsExact() throws IOException {
        Path look =
                look(
                        "{\"id\": \"e\", \"treatment\": \"exposure\", \"options\": {\"light\":"
                            + " \"gamma-encoded\"}, \"channels\": [{\"values\": {\"stops\": 1}}]}");
        assertThat(ivrik("check", look.toString())).isZero();
        Path in = picture8("in.png", false);
        Path to = folder.resolve("out.png");
        assertThat(ivrik("apply", in.toString(), "--look", look.toString(), "-o", to.toString()))
                .isZero();
        BufferedImage before = ImageIO.read(in.toFile());
        BufferedImage after = ImageIO.read(to.toFile());
        for (int y = 0; y < 30; y++) {
            for (int x = 0; x < 40; x++) {
                for (int shift : new int[] {0, 8, 16}) {
                    int was = before.getRGB(x, y) >> shift & 255;
                    int is = after.getRGB(x, y) >> shift & 255;
                    assertThat(is).isEqualTo(Math.min(255, 2 * was));
                }
            }
        }
    }

    @Test
    void aPictureTooLargeIsRefusedBeforeAllocation() throws IOException {
        Path picture = picture8("a.png", false);
        assertThat(ivrik("render", large(picture).toString(), "-o", folder + "/out.png"))
                .isEqualTo(1);
        assertThat(err).contains("16384x16384").contains("MB").contains("IVRIK_MEMORY");
        assertThat(err.lines()).hasSize(1);
        assertThat(folder.resolve("out.png")).doesNotExist();
    }

    private Path large(Path picture) throws IOException {
        Project project =
                Import.project(Import.source(picture, "a"), BuiltInLooks.named("rgb-split"));
        Path file = folder.resolve("large.ivrik");
        ProjectFile.save(
                file, project.withSequence(project.sequence().withSize(new Size(16384, 16384))));
        return file;
    }
}
