package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.IvrikException;
import ivrik.core.separation.Separation;
import ivrik.core.separation.Separations;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;

/**
 * Converts a tree of version 1 to version 2, in place: steps and looks get ids, dials address steps by id,
 * seeds become integers outside the values, and resampling filters get their standard names.
 */
final class Version1 {
    private static final Map<String, String> SAMPLERS =
            Map.of("quick", "linear", "good", "cubic", "best", "lanczos");

    /** Values of {@code reported} that mean no measurement. */
    private static final List<String> REPORTED = List.of("none", "moving");

    private final Consumer<String> problems;

    private Version1(Consumer<String> problems) {
        this.problems = problems;
    }

    /** Converts a whole file in place. */
    static void lift(ObjectNode root, Consumer<String> problems) {
        Version1 lift = new Version1(problems);
        if (root.path("format").asText().equals(LookJson.FORMAT)) {
            lift.look(root);
        }
        for (JsonNode layer : root.path("layers")) {
            if (layer instanceof ObjectNode object) {
                lift.layer(object);
            }
        }
    }

    private void layer(ObjectNode layer) {
        if (layer.has("look")) {
            if (layer.path("looks").isEmpty()) {
                layer.putArray("looks").addObject().set("look", layer.get("look"));
            }
            layer.remove("look");
        }
        int number = 0;
        for (JsonNode each : layer.path("looks")) {
            number++;
            if (each instanceof ObjectNode look) {
                look.put("id", "look-" + number);
                if (look.path("look") instanceof ObjectNode object) {
                    look(object);
                }
            }
        }
    }

    private void look(ObjectNode look) {
        List<String> ids = new ArrayList<>();
        Map<String, Integer> counts = new HashMap<>();
        for (JsonNode each : look.path("steps")) {
            String treatment = each.path("treatment").asText();
            ids.add(treatment + "-" + counts.merge(treatment, 1, Integer::sum));
            if (each instanceof ObjectNode step) {
                step(step, ids.getLast());
            }
        }
        Separation model = model(look);
        for (JsonNode dial : look.path("dials")) {
            for (JsonNode link : dial.path("links")) {
                if (link instanceof ObjectNode object) {
                    link(object, ids, model);
                }
            }
        }
    }

    private static Separation model(ObjectNode look) {
        try {
            return Separations.named(Version2.separation(look.path("separation").asText()));
        } catch (IvrikException e) {
            // the error is reported later, when the look is read
            return Separations.named("rgb");
        }
    }

    private void step(ObjectNode step, String id) {
        step.put("id", id);
        step.put("bySeed", true);
        if (SAMPLERS.containsKey(step.path("sampler").asText())) {
            step.put("sampler", SAMPLERS.get(step.path("sampler").asText()));
        }
        for (JsonNode each : step.path("lanes")) {
            if (each instanceof ObjectNode channel) {
                channel.remove(REPORTED);
                if (channel.path("jitter") instanceof ObjectNode jitter) {
                    jitter.remove(REPORTED);
                }
                seed(channel, id);
            }
        }
    }

    /** Version 1 stored the seed as a value over time; version 2 stores one integer. */
    private void seed(ObjectNode channel, String id) {
        if (!(channel.path("values") instanceof ObjectNode values) || !values.has("seed")) {
            return;
        }
        JsonNode seed = values.remove("seed");
        if (seed.isObject()) {
            problems.accept(
                    "treatment "
                            + id
                            + ": keyframes on a seed are no longer supported; its default value is"
                            + " used");
            seed = seed.path("rest");
        }
        channel.put("seed", Math.round(seed.asDouble(1)));
    }

    private static void link(ObjectNode link, List<String> ids, Separation model) {
        int step = link.path("step").asInt();
        int channel = link.path("lane").asInt();
        String target = link.path("target").asText();
        link.remove(List.of("step", "lane"));
        if (step < 0) {
            link.put("target", "reach." + target);
        } else if (step < ids.size() && channel >= 0 && channel < model.channels().size()) {
            link.put(
                    "target",
                    ids.get(step) + "." + model.channels().get(channel).id() + "." + target);
        } else {
            link.put(
                    "target",
                    "treatment " + (step + 1) + ", channel " + (channel + 1) + ", " + target);
        }
    }
}
