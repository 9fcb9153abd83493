package ivrik.cli.farm;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;

import java.util.List;

/**
 * What is to be done: the words of a command for each part, and of one that joins them.
 *
 * @param parts in any order, by any process, each of them as often as need be; counted from 1
 * @param join when all parts are done; empty if there is nothing to join
 */
public record FarmPlan(List<List<String>> parts, List<String> join) {
    private static final ObjectMapper JSON =
            new ObjectMapper().enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES);

    String text() {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(this) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e); // words can always be written down
        }
    }

    /**
     * @throws IllegalArgumentException if the text is no plan
     */
    static FarmPlan parse(String text) {
        try {
            return JSON.readValue(text, FarmPlan.class);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(e.getOriginalMessage(), e);
        }
    }
}
