package ivrik.cli.farm;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;

import java.util.List;

/**
 * The commands of a farm render.
 *
 * @param parts arguments of each part, numbered from 1; independent and repeatable
 * @param join arguments of the final join; empty if there is nothing to join
 */
public record FarmPlan(List<List<String>> parts, List<String> join) {
    private static final ObjectMapper JSON =
            new ObjectMapper().enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES);

    String text() {
        try {
            return JSON.writerWithDefaultPrettyPrinter().writeValueAsString(this) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e); // strings can always be written as JSON
        }
    }

    /**
     * @throws IllegalArgumentException if the text is not a plan
     */
    static FarmPlan parse(String text) {
        try {
            return JSON.readValue(text, FarmPlan.class);
        } catch (JsonProcessingException e) {
            throw new IllegalArgumentException(e.getOriginalMessage(), e);
        }
    }
}
