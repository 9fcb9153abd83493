package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.databind.node.TextNode;

import ivrik.core.look.FormerNames;
import ivrik.core.look.Target;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/**
 * Converts a tree of version 2 to version 3, in place. Version 3 renames fields, ids and choices and changes
 * no value.
 */
final class Version2 {
    /**
     * Placeholder for the hash of a measurement that is up to date; {@link LookJson} replaces it.
     */
    static final String UP_TO_DATE = "up-to-date";

    /** Current names of options, by treatment and former name. */
    private static final Map<String, String> OPTIONS =
            Map.ofEntries(
                    Map.entry("dispersion.way", "direction"),
                    Map.entry("pin-warp.kind", "deformation"),
                    Map.entry("directional.fall", "profile"),
                    Map.entry("noise.spread", "distribution"),
                    Map.entry("minimum-maximum.order", "operation"),
                    Map.entry("phosphor-screen.brightness", "compensation"),
                    Map.entry("phosphor-screen.mask", "phosphor-mask"),
                    Map.entry("rgb-curves.of", "channel"),
                    Map.entry("linear-light.way", "direction"),
                    Map.entry("hue-curve.changes", "affects"),
                    Map.entry("gradient-map.scale", "gradient"),
                    Map.entry("dust.tone", "colour"));

    /** Current choices, by treatment, current option and former choice. */
    private static final Map<String, String> CHOICES =
            Map.ofEntries(
                    Map.entry("pin-warp.deformation.similar", "similarity"),
                    Map.entry("directional.profile.evenly", "even"),
                    Map.entry("directional.profile.softly", "soft"),
                    Map.entry("phosphor-screen.phosphor-mask.grille", "aperture grille"),
                    Map.entry("phosphor-screen.phosphor-mask.slot", "slot mask"),
                    Map.entry("phosphor-screen.phosphor-mask.triad", "shadow mask"),
                    Map.entry("phosphor-screen.phosphor-mask.own picture", "custom image"),
                    Map.entry("phosphor-screen.compensation.paid back", "compensated"),
                    Map.entry("phosphor-screen.compensation.as it is", "uncompensated"),
                    Map.entry("gradient-map.gradient.own", "custom"),
                    Map.entry("gradient-map.gradient.heat", "thermal"),
                    Map.entry("gradient-map.gradient.ice", "cold"),
                    Map.entry("gradient-map.gradient.night", "night vision"),
                    Map.entry("lookup-table.table.own", "custom"),
                    Map.entry("pixelate.palette.even steps", "uniform RGB"),
                    Map.entry("linear-light.direction.back from linear light", "from linear light"),
                    Map.entry("exposure.light.as delivered", "gamma-encoded"),
                    Map.entry("contrast.light.as delivered", "gamma-encoded"),
                    Map.entry("rgb-curves.light.as delivered", "gamma-encoded"));

    private Version2() {}

    /** Converts a whole file: a project or a look. */
    static void lift(ObjectNode root) {
        keyframes(root);
        if (root.path("format").asText().equals(LookJson.FORMAT)) {
            look(root);
            return;
        }
        within(
                root.path("sequence"),
                sequence -> {
                    rename(sequence, "ground", "background");
                    replace(sequence, "background", Map.of("nothing", "transparent"));
                    rename(sequence, "colour", "colourSpace");
                });
        each(root.path("sources"), Version2::source);
        each(root.path("layers"), Version2::layer);
    }

    private static void source(ObjectNode source) {
        within(source.path("title"), title -> replace(title, "align", Map.of("middle", "centre")));
        rename(source, "reading", "settings");
        within(
                source.path("settings"),
                settings -> {
                    rename(settings, "track", "soundTrack");
                    rename(settings, "layer", "imageLayer");
                    rename(settings, "colour", "colourSpace");
                    rename(settings, "counted", "countFrames");
                    rename(settings, "delivered", "noConversion");
                });
    }

    private static void layer(ObjectNode layer) {
        placement(layer);
        looks(layer);
        each(
                layer.path("takes"),
                take -> {
                    rename(take, "picked", "markedForExport");
                    looks(take);
                });
    }

    private static void looks(ObjectNode layerOrTake) {
        each(layerOrTake.path("looks"), look -> within(look.path("look"), Version2::look));
    }

    private static void placement(ObjectNode placed) {
        rename(placed, "place", "placement");
        within(
                placed.path("placement"),
                place -> replace(place, "fit", Map.of("exact", "original-size")));
    }

    private static void look(ObjectNode look) {
        String mark = LookJson.channelMark(look.deepCopy());
        FormerNames.presentLook(look.path("name").asText())
                .ifPresent(name -> look.put("name", name));
        if (look.path("separation").isTextual()) {
            look.put("separation", separation(look.path("separation").asText()));
        }
        rename(look, "lanes", "channels");
        each(look.path("channels"), Version2::channel);
        Map<String, String> stepIds = stepIds(look.path("steps"));
        Map<String, String> treatments = new HashMap<>();
        each(look.path("steps"), step -> step(step, stepIds, treatments, mark));
        rename(look, "onto", "blend");
        within(
                look.path("blend"),
                blend -> {
                    rename(blend, "blend", "mode");
                    rename(blend, "amount", "opacity");
                });
        rename(look, "reach", "mask");
        each(look.path("bursts"), burst -> burst(burst, stepIds, treatments));
        each(look.path("dials"), dial -> dial(dial, stepIds, treatments));
    }

    /** The current name of a colour model. */
    static String separation(String former) {
        return former.replaceFirst("^trio:", "primaries:");
    }

    private static void channel(ObjectNode channel) {
        rename(channel, "hold", "fixed");
        rename(channel, "feed", "channelSource");
        within(
                channel.path("channelSource"),
                source -> {
                    rename(source, "beyond", "outside");
                    rename(source, "cutFrames", "cutOffsetFrames");
                    rename(source, "slit", "slitScan");
                    within(
                            source.path("slitScan"),
                            slit -> replace(slit, "by", Map.of("lane", "channel")));
                    rename(source, "lingerPercent", "trailPercent");
                    placement(source);
                });
    }

    /**
     * Current ids of steps, by former ids. An id that is reserved or already in use is not given again.
     */
    private static Map<String, String> stepIds(JsonNode steps) {
        Map<String, String> ids = new HashMap<>();
        Set<String> used = new HashSet<>();
        steps.forEach(step -> used.add(step.path("id").asText()));
        for (JsonNode step : steps) {
            String former = step.path("id").asText();
            String present = FormerNames.presentStep(former);
            if (Target.RESERVED.contains(present)) {
                present += "-1";
            }
            ids.put(former, present.equals(former) || used.add(present) ? present : former);
        }
        return ids;
    }

    private static void step(
            ObjectNode step,
            Map<String, String> stepIds,
            Map<String, String> treatments,
            String mark) {
        String treatment = FormerNames.presentTreatment(step.path("treatment").asText());
        String id = stepIds.get(step.path("id").asText());
        if (step.path("treatment").isTextual()) {
            step.put("treatment", treatment);
        }
        if (step.path("id").isTextual()) {
            step.put("id", id);
        }
        treatments.put(id, treatment);
        replace(step, "section", Map.of("lanes", "channels"));
        rename(step, "bySeed", "sharePatternBySeed");
        if (step.path("measured").asText().equals(mark)) {
            step.put("measured", UP_TO_DATE);
        }
        rename(step, "words", "options");
        within(step.path("options"), options -> options(options, treatment));
        rename(step, "lanes", "channels");
        each(
                step.path("channels"),
                settings -> {
                    parameters(settings, treatment);
                    rename(settings, "unbaked", "beforeBaking");
                    within(settings.path("beforeBaking"), before -> parameters(before, treatment));
                });
    }

    private static void options(ObjectNode options, String treatment) {
        for (String former : List.copyOf(names(options))) {
            String option = OPTIONS.getOrDefault(treatment + "." + former, former);
            rename(options, former, option);
            String choice = options.path(option).asText();
            String present = CHOICES.get(treatment + "." + option + "." + choice);
            if (present != null) {
                options.put(option, present);
            }
        }
    }

    private static void parameters(ObjectNode settings, String treatment) {
        for (String field : List.of("values", "jitters")) {
            within(
                    settings.path(field),
                    values -> {
                        for (String former : List.copyOf(names(values))) {
                            rename(values, former, FormerNames.presentParameter(treatment, former));
                        }
                    });
        }
    }

    private static void burst(
            ObjectNode burst, Map<String, String> stepIds, Map<String, String> treatments) {
        rename(burst, "hill", "peakEnvelope");
        rename(burst, "swipe", "transition");
        within(burst.path("repeat"), repeat -> rename(repeat, "beats", "bpm"));
        rename(burst, "ways", "directions");
        if (burst.path("directions") instanceof ArrayNode directions) {
            Map<String, String> present =
                    Map.of("ahead", "as-set", "opposed", "reversed", "still", "fixed");
            for (int i = 0; i < directions.size(); i++) {
                String former = directions.get(i).asText();
                if (present.containsKey(former)) {
                    directions.set(i, TextNode.valueOf(present.get(former)));
                }
            }
        }
        each(burst.path("drives"), drive -> target(drive, stepIds, treatments));
    }

    private static void dial(
            ObjectNode dial, Map<String, String> stepIds, Map<String, String> treatments) {
        rename(dial, "words", "choices");
        if (dial.path("choices") instanceof ArrayNode choices) {
            for (int i = 0; i < choices.size(); i++) {
                choices.set(i, FormerNames.presentDialChoice(choices.path(i).asText()));
            }
        }
        each(
                dial.path("links"),
                link -> {
                    target(link, stepIds, treatments);
                    rename(link, "only", "condition");
                    rename(link, "bend", "response");
                });
    }

    private static void target(
            ObjectNode aimed, Map<String, String> stepIds, Map<String, String> treatments) {
        if (aimed.path("target").isTextual()) {
            aimed.put("target", address(aimed.path("target").asText(), stepIds, treatments));
        }
    }

    private static String address(
            String former, Map<String, String> stepIds, Map<String, String> treatments) {
        String[] parts = former.split("\\.", -1);
        String last = parts[parts.length - 1];
        if (stepIds.containsKey(parts[0])) {
            parts[0] = stepIds.get(parts[0]);
            parts[parts.length - 1] =
                    FormerNames.presentParameter(treatments.getOrDefault(parts[0], ""), last);
            return String.join(".", parts);
        }
        switch (parts[0]) {
            case "reach" -> parts[0] = "mask";
            case "onto" -> parts = new String[] {"blend", "opacity"};
            case "place" -> parts[0] = "placement";
            case "lane" -> {
                parts[0] = "channel";
                parts[parts.length - 1] = FormerNames.presentChannelParameter(last);
            }
            case "burst" -> parts[parts.length - 1] = last.equals("later") ? "offset" : last;
            case "word" -> {
                parts[0] = "option";
                if (parts.length == 3) {
                    parts[1] = stepIds.getOrDefault(parts[1], parts[1]);
                    String treatment = treatments.getOrDefault(parts[1], "");
                    parts[2] = OPTIONS.getOrDefault(treatment + "." + last, last);
                }
            }
            default -> {}
        }
        return String.join(".", parts);
    }

    /** Renames the keyframes of all values in a tree. */
    private static void keyframes(JsonNode tree) {
        if (tree instanceof ObjectNode object && object.has("rest")) {
            rename(object, "pegs", "keyframes");
        }
        tree.forEach(Version2::keyframes);
    }

    private static List<String> names(ObjectNode node) {
        return node.properties().stream().map(Map.Entry::getKey).toList();
    }

    private static void rename(ObjectNode node, String former, String present) {
        if (node.has(former) && !former.equals(present)) {
            node.set(present, node.remove(former));
        }
    }

    private static void replace(ObjectNode node, String field, Map<String, String> texts) {
        String present = texts.get(node.path(field).asText());
        if (present != null) {
            node.put(field, present);
        }
    }

    private static void within(JsonNode node, Consumer<ObjectNode> change) {
        if (node instanceof ObjectNode object) {
            change.accept(object);
        }
    }

    private static void each(JsonNode list, Consumer<ObjectNode> change) {
        list.forEach(node -> within(node, change));
    }
}
