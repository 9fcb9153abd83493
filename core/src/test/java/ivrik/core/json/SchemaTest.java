package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SchemaLocation;
import com.networknt.schema.SpecVersion.VersionFlag;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.look.Section;
import ivrik.core.look.Target;
import ivrik.core.rejoin.Blend;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The published schemas accept the files that Ivrik writes and list every treatment.
 * {@code -Divrik.docs=write} regenerates the treatments from their descriptions.
 */
class SchemaTest {
    private static final ObjectMapper MAPPER = new ObjectMapper();
    private static final Path DOCS = Path.of(System.getProperty("ivrik.home"), "docs");
    private static final Path LOOK = DOCS.resolve("look.schema.json");

    private static JsonNode schema(String name) throws IOException {
        return MAPPER.readTree(DOCS.resolve(name).toFile());
    }

    private static JsonSchema validator(String name) {
        String folder = DOCS.toUri().toString();
        return JsonSchemaFactory.getInstance(VersionFlag.V202012)
                .getSchema(SchemaLocation.of(folder + name));
    }

    private static List<String> faults(String schema, String text) throws IOException {
        return validator(schema).validate(MAPPER.readTree(text)).stream()
                .map(Object::toString)
                .toList();
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
    void everyKindIsInTheSchema() throws IOException {
        JsonNode defs = schema("look.schema.json").path("$defs");
        JsonNode step = defs.path("step").path("properties");
        assertThat(words(step.path("edgeFill").path("enum")))
                .containsExactlyElementsOf(words(EdgeFill.values()));
        assertThat(words(step.path("sampler").path("enum")))
                .containsExactlyElementsOf(words(Sampler.values()));
        JsonNode look = defs.path("look").path("properties");
        assertThat(words(look.path("separation").path("anyOf").path(0).path("enum")))
                .containsExactlyElementsOf(Separations.all().stream().map(Separation::id).toList());
        assertThat(words(defs.path("blend").path("enum")))
                .containsExactlyElementsOf(Arrays.stream(Blend.values()).map(Blend::id).toList());
        for (String word : Target.RESERVED) {
            assertThat(step.path("id").path("pattern").asText()).contains(word);
        }
    }

    @Test
    void theSchemaFollowsEveryTreatment() throws IOException {
        ObjectNode schema = (ObjectNode) schema("look.schema.json");
        String before = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(schema);
        ObjectNode defs = (ObjectNode) schema.path("$defs");
        ObjectNode step = (ObjectNode) defs.path("step");
        ArrayNode ids = MAPPER.createArrayNode();
        ArrayNode choices = MAPPER.createArrayNode();
        ObjectNode treatments = MAPPER.createObjectNode();
        for (Treatment treatment : Treatments.all()) {
            String id = treatment.description().id();
            ids.add(id);
            treatments.set(id, described(treatment));
            ObjectNode choice = choices.addObject();
            choice.putObject("if").putObject("properties").putObject("treatment").put("const", id);
            choice.putObject("then").put("$ref", "#/$defs/treatments/" + id);
        }
        ((ObjectNode) step.path("properties").path("treatment")).set("enum", ids);
        step.set("allOf", choices);
        defs.set("treatments", treatments);
        String now = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(schema);
        if ("write".equals(System.getProperty("ivrik.docs"))) {
            Files.writeString(LOOK, now + "\n");
        } else {
            assertThat(before).isEqualTo(now);
        }
    }

    private static ObjectNode described(Treatment treatment) {
        Description d = treatment.description();
        ObjectNode node = MAPPER.createObjectNode().put("description", d.help());
        ObjectNode properties = node.putObject("properties");
        ObjectNode section = properties.putObject("section");
        Section.of(treatment)
                .forEach(s -> section.withArray("enum").add(s.name().toLowerCase(Locale.ROOT)));
        ObjectNode words = properties.putObject("options");
        ObjectNode options = words.putObject("properties");
        for (Option option : d.options()) {
            ObjectNode each = options.putObject(option.name()).put("description", option.help());
            option.choices().forEach(each.withArray("enum")::add);
        }
        words.put("additionalProperties", false);
        ObjectNode values =
                properties
                        .putObject("channels")
                        .putObject("items")
                        .putObject("properties")
                        .putObject("values");
        ObjectNode named = values.putObject("properties");
        d.parameters().forEach(p -> named.set(p.name(), described(p)));
        d.series()
                .ifPresent(
                        series -> {
                            ObjectNode patterns = values.putObject("patternProperties");
                            for (Parameter p : series.parameters()) {
                                String pattern =
                                        "^" + series.name() + "\\.[0-9]{1,4}\\." + p.name() + "$";
                                patterns.set(pattern, described(p));
                            }
                        });
        values.put("additionalProperties", false);
        return node;
    }

    private static ObjectNode described(Parameter p) {
        String unit = p.unit().isEmpty() ? "" : ", in " + p.unit();
        String title = p.title().isEmpty() ? p.name() : p.title();
        return MAPPER.createObjectNode()
                .put("description", title + unit)
                .put("minimum", p.min())
                .put("maximum", p.max())
                .put("default", p.rest())
                .put("$ref", "#/$defs/value");
    }

    @Test
    void writtenFilesAreValid() throws IOException {
        for (Look look : BuiltInLooks.all()) {
            assertThat(faults("look.schema.json", LookJson.write(look))).isEmpty();
        }
        assertThat(faults("project.schema.json", ProjectJson.write(WholeProjectTest.project())))
                .isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"demo", "everything", "random", "before"})
    void filesOfVersion1AreValidOnceTheyAreSaved(String name) throws IOException {
        String saved =
                ProjectJson.write(
                        ProjectJson.read(Version1Test.resource(name + ".ivrik")).project());
        assertThat(faults("project.schema.json", saved)).isEmpty();
    }

    /** The schema finds the faults that the reader finds. */
    @ParameterizedTest
    @CsvSource({
        "'\"x\" : 0.0', '\"x\" : 50000.0', 'outside -20000 to 20000'",
        "'\"x\" : 0.0', '\"xx\" : 0.0', 'did you mean x?'",
        "'\"on\" : true', '\"on\" : \"yes\"', 'is not true or false'",
        "'\"edgeFill\" : \"repeat\"', '\"edgeFill\" : \"round\"', 'unknown value ''round'''",
        "'\"note\"', '\"nota\"', 'did you mean note?'",
        "'\"sampler\" : \"cubic\"', '\"sampler\" : \"good\"', 'choose one of: linear'",
        "'\"rejoin\" : \"exact\"', '\"rejoin\" : \"exactly\"', 'no rejoin mode is named'"
    })
    void aMistakeIsFoundAndExplained(String right, String wrong, String reported)
            throws IOException {
        String text = LookJson.write(BuiltInLooks.named("neutral"));
        assertThat(text).contains(right);
        String mistaken = text.replaceFirst(java.util.regex.Pattern.quote(right), wrong);
        assertThat(faults("look.schema.json", mistaken)).isNotEmpty();
        assertThat(LookJson.read(mistaken).problems())
                .singleElement()
                .asString()
                .contains(reported);
    }

    @Test
    void optionalFieldsHaveTheirDefaults() throws IOException {
        String least =
                "{\"format\": \"ivrik-look\", \"version\": 3, \"name\": \"n\", \"separation\":"
                        + " \"rgb\", \"steps\": [{\"id\": \"shift-1\", \"treatment\": \"shift\"}]}";
        assertThat(faults("look.schema.json", least)).isEmpty();
        LookJson.Reading reading = LookJson.read(least);
        assertThat(reading.problems()).isEmpty();
        Look rest = Look.atRest("n", Separations.named("rgb"), Treatments.named("shift"));
        assertThat(reading.look()).isEqualTo(rest);
    }

    @Test
    void onlyFieldsWithoutADefaultAreRequired() throws IOException {
        String least =
                """
                {"format": "ivrik-project", "version": 3,
                  "sources": [{"id": "s", "size": [8, 8], "rate": "24"}],
                  "layers": [{"id": "l", "clips": [{"source": "s", "start": 0, "length": 4}]},
                    {"id": "m", "looks": []}]}
                """;
        assertThat(faults("project.schema.json", least)).isEmpty();
        ProjectJson.Reading reading = ProjectJson.read(least);
        assertThat(reading.problems()).isEmpty();
        assertThat(reading.project().layers()).hasSize(2);
        assertThat(reading.project().layers())
                .allMatch(l -> l.look().equals(BuiltInLooks.named("neutral")))
                .allMatch(l -> l.opacity().rest() == 1 && l.blend() == Blend.NORMAL);
    }
}
