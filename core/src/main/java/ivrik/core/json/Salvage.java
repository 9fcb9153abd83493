package ivrik.core.json;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ContainerNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.function.Consumer;

/** Reads damaged JSON up to the place of the damage. */
final class Salvage {
    private final Deque<ContainerNode<?>> open = new ArrayDeque<>();
    private JsonNode root = JsonNodeFactory.instance.objectNode();

    private Salvage() {}

    /** The tree up to the damage; {@code problems} receives the syntax error. */
    static JsonNode read(String text, Consumer<String> problems) {
        Salvage salvage = new Salvage();
        String marked = text.startsWith("\uFEFF") ? text.substring(1) : text;
        try (JsonParser parser = Json.MAPPER.createParser(marked)) {
            while (parser.nextToken() != null) {
                salvage.take(parser);
            }
            if (!salvage.open.isEmpty()) {
                problems.accept("the file is truncated; the part before the end was read");
            }
        } catch (IOException e) {
            int line =
                    e instanceof com.fasterxml.jackson.core.JsonProcessingException j
                                    && j.getLocation() != null
                            ? j.getLocation().getLineNr()
                            : 0;
            problems.accept(
                    "the file is damaged at line " + line + "; the part before it was read");
        }
        return salvage.root;
    }

    private void take(JsonParser parser) throws IOException {
        JsonToken token = parser.currentToken();
        switch (token) {
            case START_OBJECT -> enter(parser.currentName(), JsonNodeFactory.instance.objectNode());
            case START_ARRAY -> enter(parser.currentName(), JsonNodeFactory.instance.arrayNode());
            case END_OBJECT, END_ARRAY -> open.pop();
            case FIELD_NAME -> {}
            default -> add(parser.currentName(), scalar(parser));
        }
    }

    private void enter(String name, ContainerNode<?> node) {
        add(name, node);
        open.push(node);
    }

    private void add(String name, JsonNode node) {
        switch (open.peek()) {
            case null -> root = node;
            case ObjectNode object -> object.set(name, node);
            case ArrayNode array -> array.add(node);
            default -> throw new IllegalStateException();
        }
    }

    private static JsonNode scalar(JsonParser parser) throws IOException {
        JsonNodeFactory make = JsonNodeFactory.instance;
        return switch (parser.currentToken()) {
            case VALUE_STRING -> make.textNode(parser.getText());
            case VALUE_NUMBER_INT ->
                    parser.getNumberType() == JsonParser.NumberType.BIG_INTEGER
                            ? make.numberNode(parser.getDoubleValue())
                            : make.numberNode(parser.getLongValue());
            case VALUE_NUMBER_FLOAT -> make.numberNode(parser.getDoubleValue());
            case VALUE_TRUE, VALUE_FALSE -> make.booleanNode(parser.getBooleanValue());
            default -> make.nullNode();
        };
    }
}
