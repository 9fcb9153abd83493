package ivrik.core.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;

import ivrik.core.project.Project;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Lists the differences between two projects, value by value, for a person to read. */
public final class Differences {
    /** Fields that identify the elements of a list. */
    private static final List<String> NAMES = List.of("id", "name", "dial");

    /** Objects that only wrap values; their names are left out of the list. */
    private static final Set<String> WRAPPERS = Set.of("look", "values");

    private static final int LONGEST_VALUE = 60;

    private final List<String> lines = new ArrayList<>();
    private final String hereName;
    private final String thereName;

    private Differences(String hereName, String thereName) {
        this.hereName = hereName;
        this.thereName = thereName;
    }

    /**
     * The differences between two projects.
     *
     * @param hereName what to call the place of {@code here}, such as "in this window"
     * @return one line per value, such as
     *     {@code layer title, look 1, step 2, channel 1, x: 3 here, 2 in the file}; empty if the projects are
     *     equal
     */
    public static List<String> between(
            Project here, String hereName, Project there, String thereName) {
        Differences differences = new Differences(hereName, thereName);
        try {
            differences.compare(
                    "",
                    "",
                    Json.MAPPER.readTree(ProjectJson.write(here)),
                    Json.MAPPER.readTree(ProjectJson.write(there)));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a project that was just written can be read", e);
        }
        return differences.lines;
    }

    private void compare(String path, String list, JsonNode here, JsonNode there) {
        if (here.equals(there)) {
            return;
        }
        if (here.isContainerNode() && there.getNodeType() == here.getNodeType()) {
            Map<String, JsonNode> ours = parts(list, here);
            Map<String, JsonNode> theirs = parts(list, there);
            Set<String> all = new LinkedHashSet<>(ours.keySet());
            all.addAll(theirs.keySet());
            int before = lines.size();
            for (String name : all) {
                String longer =
                        WRAPPERS.contains(name) || isList(ours.get(name), theirs.get(name))
                                ? path
                                : path.isEmpty() ? name : path + ", " + name;
                if (!theirs.containsKey(name)) {
                    lines.add(longer + ": only " + hereName);
                } else if (!ours.containsKey(name)) {
                    lines.add(longer + ": only " + thereName);
                } else {
                    compare(longer, name, ours.get(name), theirs.get(name));
                }
            }
            if (lines.size() == before) {
                lines.add((path.isEmpty() ? list : path + ", " + list) + ": different order");
            }
            return;
        }
        lines.add(path + ": " + text(here) + " " + hereName + ", " + text(there) + " " + thereName);
    }

    /** Whether both are lists whose elements have identifying fields. */
    private static boolean isList(JsonNode here, JsonNode there) {
        return here != null && there != null && here.isArray() && there.isArray();
    }

    /**
     * The children of a node by name.
     *
     * @param list name of the node if it is a list, such as {@code layers}
     */
    private static Map<String, JsonNode> parts(String list, JsonNode node) {
        Map<String, JsonNode> parts = new LinkedHashMap<>();
        if (node.isObject()) {
            node.properties().forEach(p -> parts.put(p.getKey(), p.getValue()));
            return parts;
        }
        String one = list.endsWith("s") ? list.substring(0, list.length() - 1) : list;
        for (JsonNode part : node) {
            String own = name(part, parts.size() + 1);
            String name = own.startsWith(one + "-") ? own.replaceFirst("-", " ") : one + " " + own;
            parts.put(parts.containsKey(name) ? name + " " + (parts.size() + 1) : name, part);
        }
        return parts;
    }

    private static String name(JsonNode part, int number) {
        return NAMES.stream()
                .filter(part::hasNonNull)
                .map(n -> part.get(n).asText())
                .findFirst()
                .orElse(Integer.toString(number));
    }

    private static String text(JsonNode value) {
        String text =
                value.isNumber()
                        ? new BigDecimal(value.asText())
                                .round(new MathContext(4))
                                .stripTrailingZeros()
                                .toPlainString()
                        : value.isTextual() ? value.asText() : value.toString();
        return text.length() <= LONGEST_VALUE ? text : text.substring(0, LONGEST_VALUE) + "...";
    }
}
