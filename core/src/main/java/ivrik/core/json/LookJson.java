package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Amounts;
import ivrik.core.look.Dial;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.look.Onto;
import ivrik.core.look.Overscan;
import ivrik.core.look.Reach;
import ivrik.core.look.Step;
import ivrik.core.motion.Jitter;
import ivrik.core.motion.Value;
import ivrik.core.rejoin.Rejoin;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Option;
import ivrik.core.treatment.Parameter;
import ivrik.core.treatment.Series;
import ivrik.core.treatment.Treatments;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A look as JSON text; {@code docs/look.schema.json} describes it. */
public final class LookJson {
    static final String FORMAT = "ivrik-look";

    private LookJson() {}

    /** What could be read of a look, and what could not. */
    public record Reading(Look look, List<String> problems) {}

    public static String write(Look look) {
        ObjectNode root = Header.write(FORMAT);
        root.setAll((ObjectNode) Json.MAPPER.valueToTree(look));
        return Json.pretty(root);
    }

    /**
     * Reads a look as far as it can be.
     *
     * @throws ForeignFileException if the text is no look, or of a newer version
     */
    public static Reading read(String text) {
        List<String> problems = new ArrayList<>();
        JsonNode root = Salvage.read(text, problems);
        Header.check(root, FORMAT);
        return new Reading(read(root, new Parts(problems)), List.copyOf(problems));
    }

    static Look read(JsonNode node, Parts parts) {
        String name = node.path("name").asText("look");
        Separation model =
                parts.read(
                                "the separation of look " + name,
                                () -> Separations.named(node.path("separation").asText()))
                        .orElseGet(() -> Separations.named("rgb"));
        Look rest = Look.atRest(name, model);
        List<LaneState> lanes =
                parts.each(node.path("lanes"), "lane", n -> Parts.as(n, LaneState.class));
        List<Step> steps = new ArrayList<>();
        List<Dial> dials =
                new ArrayList<>(
                        parts.each(node.path("dials"), "dial", n -> Parts.as(n, Dial.class)));
        for (JsonNode step : node.path("steps")) {
            Optional<Step> read =
                    parts.read("a step of look " + name, () -> step(step, rest.lanes().size()));
            read.ifPresentOrElse(
                    steps::add, () -> dials.replaceAll(d -> withoutStep(d, steps.size())));
        }
        return new Look(
                name,
                node.path("note").asText(""),
                model.id(),
                lanes.size() == rest.lanes().size() ? lanes : rest.lanes(),
                order(node.path("order"), rest.lanes().size()),
                steps,
                parts.read(
                                "the rejoin of look " + name,
                                () -> Parts.as(node.path("rejoin"), Rejoin.class))
                        .orElse(Rejoin.EXACT),
                parts.read(
                                "the onto of look " + name,
                                () -> Parts.as(node.path("onto"), Onto.class))
                        .orElse(Onto.IN_PLACE),
                parts.read(
                                "the reach of look " + name,
                                () ->
                                        node.has("reach")
                                                ? Parts.as(node.path("reach"), Reach.class)
                                                : Reach.ALL)
                        .orElse(Reach.ALL),
                parts.read(
                                "the overscan of look " + name,
                                () ->
                                        node.has("overscan")
                                                ? Parts.as(node.path("overscan"), Overscan.class)
                                                : Overscan.OFF)
                        .orElse(Overscan.OFF),
                dials);
    }

    private static Step step(JsonNode node, int lanes) {
        Step step = Parts.as(withDefaults(node), Step.class);
        var description = Treatments.named(step.treatment()).description();
        if (step.lanes().size() != lanes) {
            throw new IllegalArgumentException(
                    "it has amounts for " + step.lanes().size() + " lanes, not " + lanes);
        }
        step.words().forEach((option, word) -> checkWord(description, option, word));
        return step.withLanes(step.lanes().stream().map(a -> complete(a, description)).toList());
    }

    /** What older versions did not write. */
    private static JsonNode withDefaults(JsonNode node) {
        if (!node.isObject()) {
            return node;
        }
        ObjectNode whole = node.deepCopy();
        if (!whole.has("words")) {
            whole.putObject("words");
        }
        if (!whole.has("picture")) {
            whole.put("picture", "");
        }
        return whole;
    }

    private static void checkWord(Description description, String option, String word) {
        Option found =
                UnknownNameException.find(
                        "option of " + description.id(),
                        option,
                        description.options(),
                        Option::name);
        UnknownNameException.find("choice of " + option, word, found.words(), w -> w);
    }

    /** With a rest value for each parameter that an older version did not know. */
    private static Amounts complete(Amounts amounts, Description description) {
        Amounts all =
                new Amounts(
                        java.util.Map.of(),
                        amounts.jitter() == null ? Jitter.NONE : amounts.jitter());
        for (Parameter p : description.parameters()) {
            Value value = amounts.value(p.name());
            all = all.with(p.name(), value == null ? Value.of(p.rest()) : value);
        }
        if (description.series().isPresent()) {
            Series series = description.series().get();
            int things = amounts.count(series);
            for (int i = 0; i < things; i++) {
                for (Parameter p : series.parameters()) {
                    String address = series.address(i, p.name());
                    Value value = amounts.value(address);
                    all = all.with(address, value == null ? Value.of(p.rest()) : value);
                }
            }
        }
        return all;
    }

    private static Dial withoutStep(Dial dial, int step) {
        return dial.withLinks(
                dial.links().stream()
                        .filter(l -> l.step() != step)
                        .map(l -> l.step() < step ? l : l.withStep(l.step() - 1))
                        .toList());
    }

    /** Each lane once, or the natural order. */
    private static List<Integer> order(JsonNode node, int lanes) {
        List<Integer> order = new ArrayList<>();
        node.forEach(n -> order.add(n.asInt()));
        List<Integer> natural = Look.naturalOrder(lanes);
        return order.stream().sorted().toList().equals(natural) ? order : natural;
    }
}
