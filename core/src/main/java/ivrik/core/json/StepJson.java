package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.UnknownNameException;
import ivrik.core.colour.ColourTable;
import ivrik.core.colour.CubeText;
import ivrik.core.look.Amounts;
import ivrik.core.look.Amounts.Unbaked;
import ivrik.core.look.Section;
import ivrik.core.look.Step;
import ivrik.core.look.Target;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Series;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** One treatment in a look. */
final class StepJson {
    /** A lane has at most this many pins, points and the like of one treatment. */
    static final int MOST_THINGS = 1000;

    private static final double WIDEST_JITTER = 1e6;

    private StepJson() {}

    static ObjectNode write(Step step) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("id", step.id())
                        .put("treatment", step.treatment())
                        .put("section", Words.of(step.section()))
                        .put("on", step.on())
                        .put("edgeFill", Words.of(step.edgeFill()))
                        .put("sampler", Words.of(step.sampler()));
        if (step.bySeed()) {
            node.put("bySeed", true);
        }
        if (!step.words().isEmpty()) {
            ObjectNode words = node.putObject("words");
            step.words().forEach(words::put);
        }
        if (!step.picture().isEmpty()) {
            node.put("picture", step.picture());
        }
        step.table()
                .ifPresent(
                        table ->
                                node.putObject("table")
                                        .put("name", table.name())
                                        .put("cube", CubeText.write(table)));
        if (!step.measured().isEmpty()) {
            node.put("measured", step.measured());
        }
        ArrayNode lanes = node.putArray("lanes");
        step.lanes().forEach(amounts -> lanes.add(write(amounts)));
        return node;
    }

    private static ObjectNode write(Amounts amounts) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        ObjectNode values = node.putObject("values");
        amounts.values().forEach((name, value) -> values.set(name, ValueJson.write(value)));
        write(amounts.jitter(), amounts.jitters(), node);
        if (amounts.seed() != Amounts.FIRST_SEED) {
            node.put("seed", amounts.seed());
        }
        amounts.unbaked().ifPresent(unbaked -> node.set("unbaked", write(unbaked)));
        return node;
    }

    private static ObjectNode write(Unbaked unbaked) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        ObjectNode values = node.putObject("values");
        unbaked.values().forEach((name, value) -> values.set(name, ValueJson.write(value)));
        write(unbaked.jitter(), unbaked.jitters(), node);
        return node;
    }

    private static void write(Jitter jitter, Map<String, Jitter> jitters, ObjectNode node) {
        if (!jitter.equals(Jitter.NONE)) {
            node.set("jitter", write(jitter));
        }
        if (!jitters.isEmpty()) {
            ObjectNode each = node.putObject("jitters");
            jitters.forEach((name, one) -> each.set(name, write(one)));
        }
    }

    private static ObjectNode write(Jitter jitter) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        node.set("amount", ValueJson.write(jitter.amount()));
        return node.put("frequencyHz", jitter.frequencyHz())
                .put("kind", Words.of(jitter.kind()))
                .put("seed", jitter.seed())
                .put("octaves", jitter.octaves());
    }

    /**
     * The step as it is written, with the rest value of each parameter that is left out.
     *
     * @param lanes how many lanes its look has
     */
    static Step read(Fields fields, int lanes) {
        Treatment treatment = Treatments.named(fields.text("treatment"));
        Description description = treatment.description();
        Section section = section(fields, treatment);
        Step rest = Step.atRest(id(fields), treatment, section, lanes);
        Step step =
                new Step(
                        rest.id(),
                        rest.treatment(),
                        section,
                        fields.flag("on", true),
                        fields.word("edgeFill", rest.edgeFill()),
                        fields.word("sampler", rest.sampler()),
                        fields.flag("bySeed", false),
                        fields.read("words", Map.of(), f -> words(f, description)),
                        fields.text("picture", ""),
                        fields.read("table", Optional.empty(), StepJson::table),
                        fields.text("measured", ""),
                        fields.each("lanes", "lane", f -> amounts(f, description)));
        if (step.lanes().isEmpty()) {
            return step.withLanes(rest.lanes());
        }
        if (step.lanes().size() != rest.lanes().size()) {
            throw new IllegalArgumentException(
                    "it has amounts for "
                            + step.lanes().size()
                            + " lanes, not "
                            + rest.lanes().size());
        }
        return step;
    }

    private static Optional<ColourTable> table(Fields fields) {
        return Optional.of(CubeText.read(fields.text("cube"), fields.text("name", "table")));
    }

    private static String id(Fields fields) {
        String id = fields.text("id");
        if (id.isEmpty() || id.contains(".") || Target.RESERVED.contains(id)) {
            throw new IllegalArgumentException(
                    "'" + id + "' cannot be an id: dials could not tell it from other words");
        }
        return id;
    }

    private static Section section(Fields fields, Treatment treatment) {
        Section rest = Section.usual(treatment);
        Section section = fields.word("section", rest);
        if (!Section.of(treatment).contains(section)) {
            fields.tell(
                    "its treatment cannot be done in the section "
                            + Words.of(section)
                            + "; "
                            + Words.of(rest)
                            + " is taken");
            return rest;
        }
        return section;
    }

    private static Map<String, String> words(Fields fields, Description description) {
        Map<String, String> words = new TreeMap<>();
        for (Option option : description.options()) {
            if (fields.has(option.name())) {
                words.put(
                        option.name(),
                        fields.named(
                                option.name(),
                                option.rest(),
                                w ->
                                        UnknownNameException.find(
                                                "choice of " + option.title(),
                                                w,
                                                option.words(),
                                                each -> each)));
            }
        }
        return words;
    }

    private static Amounts amounts(Fields fields, Description description) {
        Amounts rest = Amounts.atRest(description);
        return new Amounts(
                fields.read("values", rest.values(), f -> values(f, description)),
                fields.read("jitter", Jitter.NONE, StepJson::jitter),
                fields.read("jitters", Map.of(), f -> jitters(f, description)),
                fields.whole("seed", Amounts.FIRST_SEED, Long.MIN_VALUE, Long.MAX_VALUE),
                fields.optional("unbaked", f -> unbaked(f, description)));
    }

    private static Map<String, Jitter> jitters(Fields fields, Description description) {
        Map<String, Jitter> jitters = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            if (fields.has(parameter.name())) {
                jitters.put(
                        parameter.name(),
                        fields.read(parameter.name(), Jitter.NONE, StepJson::jitter));
            }
        }
        return jitters;
    }

    private static Unbaked unbaked(Fields fields, Description description) {
        return new Unbaked(
                fields.read(
                        "values",
                        Amounts.atRest(description).values(),
                        f -> values(f, description)),
                fields.read("jitter", Jitter.NONE, StepJson::jitter),
                fields.read("jitters", Map.of(), f -> jitters(f, description)));
    }

    private static Map<String, Value> values(Fields fields, Description description) {
        Map<String, Value> values = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            values.put(parameter.name(), ValueJson.read(fields, parameter));
        }
        description.series().ifPresent(series -> things(fields, series, values));
        return values;
    }

    private static void things(Fields fields, Series series, Map<String, Value> values) {
        String number = series.name() + "\\.\\d{1,6}\\..*";
        int count =
                fields.names().stream()
                        .filter(name -> name.matches(number))
                        .mapToInt(name -> Integer.parseInt(name.split("\\.")[1]) + 1)
                        .max()
                        .orElse(0);
        if (count > MOST_THINGS) {
            fields.tell(
                    "there are "
                            + count
                            + " of "
                            + series.name()
                            + "; "
                            + MOST_THINGS
                            + " are read");
        }
        for (int i = 0; i < Math.min(count, MOST_THINGS); i++) {
            for (Parameter parameter : series.parameters()) {
                String address = series.address(i, parameter.name());
                values.put(
                        address,
                        ValueJson.read(fields, address, Value.of(parameter.rest()), parameter));
            }
        }
    }

    private static Jitter jitter(Fields fields) {
        return new Jitter(
                ValueJson.read(fields, "amount", Value.ZERO, 0, WIDEST_JITTER),
                fields.number("frequencyHz", Jitter.NONE.frequencyHz(), 0, Jitter.MAX_FREQUENCY_HZ),
                fields.word("kind", Jitter.NONE.kind()),
                fields.whole("seed", Jitter.NONE.seed(), Long.MIN_VALUE, Long.MAX_VALUE),
                (int) fields.whole("octaves", 1, 1, Jitter.MOST_OCTAVES));
    }
}
