package ivrik.core.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;

import ivrik.core.IvrikException;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** Reads a tree part by part; a part that cannot be read is listed and left out. */
final class Parts {
    private final List<String> problems;

    Parts(List<String> problems) {
        this.problems = problems;
    }

    /** One part; the name says what it is, as in {@code layer "title"}. */
    <T> Optional<T> read(String name, Supplier<T> part) {
        try {
            return Optional.of(part.get());
        } catch (IvrikException e) {
            problems.add(name + " was left out: " + e.getMessage());
        } catch (RuntimeException e) {
            problems.add(name + " was left out: " + firstLine(e.getMessage()));
        }
        return Optional.empty();
    }

    /** All parts of a list. */
    <T> List<T> each(JsonNode list, String name, java.util.function.Function<JsonNode, T> part) {
        List<T> read = new ArrayList<>();
        int number = 0;
        for (JsonNode node : list) {
            number++;
            String label = node.path("name").asText(Integer.toString(number));
            read(name + " " + label, () -> part.apply(node)).ifPresent(read::add);
        }
        return read;
    }

    void note(String problem) {
        problems.add(problem);
    }

    static <T> T as(JsonNode node, Class<T> type) {
        try {
            return Json.MAPPER.treeToValue(node, type);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(firstLine(e.getOriginalMessage()), e);
        }
    }

    private static String firstLine(String message) {
        return message == null
                ? "it is incomplete"
                : message.lines().findFirst().orElse("it is incomplete");
    }
}
