package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** The two fields every file of ours begins with. */
final class Header {
    static final int VERSION = 1;

    private Header() {}

    static ObjectNode write(String format) {
        return Json.MAPPER.createObjectNode().put("format", format).put("version", VERSION);
    }

    /**
     * @throws ForeignFileException if this is another kind of file, or of a newer version
     */
    static void check(JsonNode root, String format) {
        if (!root.path("format").asText().equals(format)) {
            throw new ForeignFileException(
                    "this is not an " + format.replace("ivrik-", "Ivrik ") + " file",
                    "choose a file that Ivrik has written; it begins with \"format\": \""
                            + format
                            + "\"");
        }
        int version = root.path("version").asInt(0);
        if (version > VERSION) {
            throw new ForeignFileException(
                    "this file is of version "
                            + version
                            + ", newer than this Ivrik, which reads up to "
                            + VERSION,
                    "open it with a newer Ivrik; nothing in it was changed");
        }
    }
}
