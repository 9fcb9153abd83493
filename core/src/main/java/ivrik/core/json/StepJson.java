package ivrik.core.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.UnknownNameException;
import ivrik.core.colour.ColourTable;
import ivrik.core.colour.CubeFormat;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.ChannelSettings.BeforeBaking;
import ivrik.core.look.ChannelSettings.RandomOrigin;
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

/** Reads and writes one treatment of a look. */
final class StepJson {
    /** Largest number of pins, points or similar items of one treatment in a channel. */
    static final int MAX_ITEMS = 1000;

    private static final double WIDEST_JITTER = 1e6;

    /** Place whose random numbers copied settings use. */
    private static final String RANDOM_OF = "randomOf";

    private StepJson() {}

    static ObjectNode write(Step step) {
        ObjectNode node =
                Json.MAPPER
                        .createObjectNode()
                        .put("id", step.id())
                        .put("treatment", step.treatment())
                        .put("section", EnumNames.of(step.section()))
                        .put("on", step.on())
                        .put("edgeFill", EnumNames.of(step.edgeFill()))
                        .put("sampler", EnumNames.of(step.sampler()));
        if (step.bySeed()) {
            node.put("sharePatternBySeed", true);
        }
        if (!step.choices().isEmpty()) {
            ObjectNode choices = node.putObject("options");
            step.choices().forEach(choices::put);
        }
        if (!step.picture().isEmpty()) {
            node.put("picture", step.picture());
        }
        step.table()
                .ifPresent(
                        table ->
                                node.putObject("table")
                                        .put("name", table.name())
                                        .put("cube", CubeFormat.write(table)));
        if (!step.measured().isEmpty()) {
            node.put("measured", step.measured());
        }
        ArrayNode channels = node.putArray("channels");
        step.channels().forEach(settings -> channels.add(write(settings)));
        return node;
    }

    private static ObjectNode write(ChannelSettings settings) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        ObjectNode values = node.putObject("values");
        settings.values().forEach((name, value) -> values.set(name, ValueJson.write(value)));
        write(settings.jitter(), settings.jitters(), node);
        if (settings.seed() != ChannelSettings.FIRST_SEED) {
            node.put("seed", settings.seed());
        }
        settings.origin()
                .ifPresent(
                        origin ->
                                node.putObject(RANDOM_OF)
                                        .put("place", origin.place())
                                        .put("treatment", origin.step())
                                        .put("channel", origin.channel()));
        settings.beforeBaking()
                .ifPresent(beforeBaking -> node.set("beforeBaking", write(beforeBaking)));
        return node;
    }

    private static ObjectNode write(BeforeBaking beforeBaking) {
        ObjectNode node = Json.MAPPER.createObjectNode();
        ObjectNode values = node.putObject("values");
        beforeBaking.values().forEach((name, value) -> values.set(name, ValueJson.write(value)));
        write(beforeBaking.jitter(), beforeBaking.jitters(), node);
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
                .put("kind", EnumNames.of(jitter.kind()))
                .put("seed", jitter.seed())
                .put("octaves", jitter.octaves());
    }

    /**
     * The step with the default of each missing parameter.
     *
     * @param channels number of channels of the look
     */
    static Step read(Fields fields, int channels) {
        Treatment treatment = Treatments.named(fields.text("treatment"));
        Description description = treatment.description();
        Section section = section(fields, treatment);
        Step rest = Step.atRest(id(fields), treatment, section, channels);
        Step step =
                new Step(
                        rest.id(),
                        rest.treatment(),
                        section,
                        fields.flag("on", true),
                        fields.choice("edgeFill", rest.edgeFill()),
                        fields.choice("sampler", rest.sampler()),
                        fields.flag("sharePatternBySeed", false),
                        fields.read("options", Map.of(), f -> choices(f, description)),
                        fields.text("picture", ""),
                        fields.read("table", Optional.empty(), StepJson::table),
                        fields.text("measured", ""),
                        fields.each("channels", "channel", f -> settings(f, description)));
        if (step.channels().isEmpty()) {
            return step.withChannels(rest.channels());
        }
        if (step.channels().size() != rest.channels().size()) {
            throw new IllegalArgumentException(
                    "settings for "
                            + step.channels().size()
                            + " channels, expected "
                            + rest.channels().size());
        }
        return step;
    }

    private static Optional<ColourTable> table(Fields fields) {
        return Optional.of(CubeFormat.read(fields.text("cube"), fields.text("name", "table")));
    }

    private static String id(Fields fields) {
        String id = fields.text("id");
        if (id.isEmpty() || id.contains(".") || Target.RESERVED.contains(id)) {
            throw new IllegalArgumentException(
                    "'" + id + "' cannot be an id: it is reserved or contains a dot");
        }
        return id;
    }

    private static Section section(Fields fields, Treatment treatment) {
        Section rest = Section.usual(treatment);
        Section section = fields.choice("section", rest);
        if (!Section.of(treatment).contains(section)) {
            fields.report(
                    "the treatment cannot be used in section "
                            + EnumNames.of(section)
                            + "; "
                            + EnumNames.of(rest)
                            + " used");
            return rest;
        }
        return section;
    }

    private static Map<String, String> choices(Fields fields, Description description) {
        Map<String, String> choices = new TreeMap<>();
        for (Option option : description.options()) {
            if (fields.has(option.name())) {
                choices.put(
                        option.name(),
                        fields.named(
                                option.name(),
                                option.rest(),
                                w ->
                                        UnknownNameException.find(
                                                "choice of " + option.title(),
                                                w,
                                                option.choices(),
                                                each -> each)));
            }
        }
        return choices;
    }

    private static RandomOrigin origin(Fields fields) {
        return new RandomOrigin(
                fields.text("place"),
                fields.text("treatment"),
                (int) fields.whole("channel", 0, 0, Integer.MAX_VALUE));
    }

    private static ChannelSettings settings(Fields fields, Description description) {
        ChannelSettings rest = ChannelSettings.atRest(description);
        return new ChannelSettings(
                fields.read("values", rest.values(), f -> values(f, description)),
                fields.read("jitter", Jitter.NONE, StepJson::jitter),
                fields.read("jitters", Map.of(), f -> jitters(f, description)),
                fields.whole("seed", ChannelSettings.FIRST_SEED, Long.MIN_VALUE, Long.MAX_VALUE),
                fields.optional(RANDOM_OF, StepJson::origin),
                fields.optional("beforeBaking", f -> beforeBaking(f, description)));
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

    private static BeforeBaking beforeBaking(Fields fields, Description description) {
        return new BeforeBaking(
                fields.read(
                        "values",
                        ChannelSettings.atRest(description).values(),
                        f -> values(f, description)),
                fields.read("jitter", Jitter.NONE, StepJson::jitter),
                fields.read("jitters", Map.of(), f -> jitters(f, description)));
    }

    private static Map<String, Value> values(Fields fields, Description description) {
        Map<String, Value> values = new TreeMap<>();
        for (Parameter parameter : description.parameters()) {
            values.put(parameter.name(), ValueJson.read(fields, parameter));
        }
        description.series().ifPresent(series -> items(fields, series, values));
        return values;
    }

    private static void items(Fields fields, Series series, Map<String, Value> values) {
        String number = series.name() + "\\.\\d{1,6}\\..*";
        int count =
                fields.names().stream()
                        .filter(name -> name.matches(number))
                        .mapToInt(name -> Integer.parseInt(name.split("\\.")[1]) + 1)
                        .max()
                        .orElse(0);
        if (count > MAX_ITEMS) {
            fields.report(
                    count + " entries of " + series.name() + "; only " + MAX_ITEMS + " were read");
        }
        for (int i = 0; i < Math.min(count, MAX_ITEMS); i++) {
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
                fields.choice("kind", Jitter.NONE.kind()),
                fields.whole("seed", Jitter.NONE.seed(), Long.MIN_VALUE, Long.MAX_VALUE),
                (int) fields.whole("octaves", 1, 1, Jitter.MAX_OCTAVES));
    }
}
