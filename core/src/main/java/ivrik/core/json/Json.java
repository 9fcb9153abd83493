package ivrik.core.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;

/** Parses and prints JSON. */
final class Json {
    /** Largest file in characters. A table within a file is one string of at most 60 MB. */
    private static final int LONGEST = 256 << 20;

    private static final int DEEPEST = 200;

    static final JsonMapper MAPPER =
            JsonMapper.builder(
                            JsonFactory.builder()
                                    .streamReadConstraints(
                                            StreamReadConstraints.builder()
                                                    .maxDocumentLength(LONGEST)
                                                    .maxStringLength(LONGEST)
                                                    .maxNestingDepth(DEEPEST)
                                                    .build())
                                    .build())
                    .build();

    private Json() {}

    static String pretty(JsonNode node) {
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node) + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }
}
