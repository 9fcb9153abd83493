package ivrik.core.json;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import ivrik.core.IvrikException;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * A project with every feature, with one field wrong at a time: the reader reports each fault and its place.
 */
class EveryFieldTest {
    private static final ObjectMapper MAPPER = new ObjectMapper();

    private final JsonNode whole = read(ProjectJson.write(WholeProjectTest.project()));

    private static JsonNode read(String text) {
        try {
            return MAPPER.readTree(text);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** A change of a tree, and its reversal. */
    private record Change(String where, Runnable done, Runnable undone) {}

    private static void changes(
            JsonNode node,
            String where,
            Predicate<JsonNode> which,
            Function<JsonNode, JsonNode> wrong,
            List<Change> into) {
        if (node instanceof ObjectNode object) {
            object.properties()
                    .forEach(
                            field -> {
                                String name = field.getKey();
                                JsonNode right = field.getValue();
                                String here = where + "/" + name;
                                if (which.test(right)) {
                                    into.add(
                                            new Change(
                                                    here,
                                                    () -> object.set(name, wrong.apply(right)),
                                                    () -> object.set(name, right)));
                                }
                                changes(right, here, which, wrong, into);
                            });
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                int at = i;
                JsonNode right = array.get(i);
                String here = where + "/" + i;
                if (which.test(right)) {
                    into.add(
                            new Change(
                                    here,
                                    () -> array.set(at, wrong.apply(right)),
                                    () -> array.set(at, right)));
                }
                changes(right, here, which, wrong, into);
            }
        }
    }

    /** The places where the reader accepts a wrong value silently. */
    private List<String> untold(Predicate<JsonNode> which, Function<JsonNode, JsonNode> wrong) {
        List<Change> all = new ArrayList<>();
        changes(whole, "", which, wrong, all);
        assertThat(all).isNotEmpty();
        List<String> untold = new ArrayList<>();
        Set<String> kinds = new HashSet<>();
        for (Change change : all) {
            if (!kinds.add(change.where.replaceAll("/\\d+", "/*"))) {
                continue; // one of each kind is enough
            }
            change.done.run();
            try {
                if (ProjectJson.read(whole.toString()).problems().isEmpty()) {
                    untold.add(change.where);
                }
            } catch (IvrikException e) {
                assertThat(e.oneLine()).isNotBlank();
            }
            change.undone.run();
        }
        return untold;
    }

    @Test
    void aHugeNumberIsReported() {
        for (double far : new double[] {1e308, -1e308}) {
            assertThat(untold(JsonNode::isNumber, n -> MAPPER.getNodeFactory().numberNode(far)))
                    .isEmpty();
        }
    }

    @Test
    void aWrongTypeInPlaceOfANumberIsReported() {
        assertThat(untold(JsonNode::isNumber, n -> MAPPER.getNodeFactory().textNode("NaN")))
                .isEmpty();
        assertThat(untold(JsonNode::isNumber, n -> MAPPER.getNodeFactory().booleanNode(true)))
                .isEmpty();
    }

    @Test
    void aWrongTypeInPlaceOfABooleanIsReported() {
        assertThat(untold(JsonNode::isBoolean, n -> MAPPER.getNodeFactory().textNode("yes")))
                .isEmpty();
    }

    @Test
    void anUnknownNameIsReported() {
        assertThat(untold(JsonNode::isObject, n -> ((ObjectNode) n.deepCopy()).put("zyx", 1)))
                .isEmpty();
    }

    @Test
    void aWrongTypeInPlaceOfAListOrObjectIsReported() {
        assertThat(untold(JsonNode::isContainerNode, n -> MAPPER.getNodeFactory().textNode("x")))
                .isEmpty();
    }
}
