package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Sampler;
import ivrik.core.project.Project;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Treatments;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** The published schemas say what is written, and offer what there is. */
class SchemaTest {
    private static final ObjectMapper MAPPER = new ObjectMapper();

    private static JsonNode schema(String name) throws IOException {
        return MAPPER.readTree(Path.of(System.getProperty("ivrik.home"), "docs", name).toFile());
    }

    private static List<String> words(JsonNode list) {
        List<String> words = new ArrayList<>();
        list.forEach(n -> words.add(n.asText()));
        return words;
    }

    private static List<String> words(Enum<?>... all) {
        return Arrays.stream(all).map(e -> e.name().toLowerCase(Locale.ROOT)).toList();
    }

    @Test
    void everyKindIsOffered() throws IOException {
        JsonNode defs = schema("look.schema.json").path("$defs");
        JsonNode step = defs.path("step").path("properties");
        assertThat(words(step.path("treatment").path("enum")))
                .containsExactlyElementsOf(
                        Treatments.all().stream().map(t -> t.description().id()).toList());
        assertThat(words(step.path("edgeFill").path("enum")))
                .containsExactlyElementsOf(words(EdgeFill.values()));
        assertThat(words(step.path("sampler").path("enum")))
                .containsExactlyElementsOf(words(Sampler.values()));
        JsonNode look = defs.path("look").path("properties");
        assertThat(words(look.path("separation").path("anyOf").path(0).path("enum")))
                .containsExactlyElementsOf(Separations.all().stream().map(Separation::id).toList());
        assertThat(words(defs.path("blend").path("enum")))
                .containsExactlyElementsOf(Arrays.stream(Blend.values()).map(Blend::id).toList());
    }

    @Test
    void everyFieldThatIsWrittenIsDescribed() throws IOException {
        JsonNode known = schema("look.schema.json").path("$defs").path("look").path("properties");
        for (Look look : BuiltInLooks.all()) {
            JsonNode written = MAPPER.readTree(LookJson.write(look));
            written.fieldNames()
                    .forEachRemaining(
                            field -> {
                                if (!field.equals("format") && !field.equals("version")) {
                                    assertThat(known.has(field)).as(field).isTrue();
                                }
                            });
        }
        JsonNode project = schema("project.schema.json").path("properties");
        MAPPER.readTree(ProjectJson.write(Project.empty("p")))
                .fieldNames()
                .forEachRemaining(field -> assertThat(project.has(field)).as(field).isTrue());
    }
}
