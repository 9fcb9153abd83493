package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import java.util.function.Consumer;

/** The two fields every file of ours begins with. */
final class FileHeader {
    static final int VERSION = 2;

    private FileHeader() {}

    static ObjectNode write(String format) {
        return Json.MAPPER.createObjectNode().put("format", format).put("version", VERSION);
    }

    /**
     * The fields of a text, as this version writes them.
     *
     * @throws ForeignFileException if this is another kind of file, or of a newer version
     */
    static Fields read(String text, String format, Consumer<String> problems) {
        JsonNode root = Salvage.read(text, problems);
        if (!root.path("format").asText().equals(format)) {
            throw new ForeignFileException(
                    "this is not an " + format.replace("ivrik-", "Ivrik ") + " file",
                    "choose a file that Ivrik has written; it begins with \"format\": \""
                            + format
                            + "\"");
        }
        JsonNode version = root.path("version");
        if (version.asInt(0) > VERSION) {
            throw new ForeignFileException(
                    "this file is of version "
                            + version
                            + ", newer than this Ivrik, which reads up to "
                            + VERSION,
                    "open it with a newer Ivrik; nothing in it was changed");
        }
        if (!version.isIntegralNumber() || version.intValue() < 1) {
            problems.accept("version: " + Words.quoted(version) + " is no version; 1 is taken");
        }
        if (version.asInt(0) < 2) {
            Version1.lift((ObjectNode) root, problems);
        }
        Fields fields = new Fields(root, "", problems);
        fields.has("format");
        fields.has("version");
        return fields;
    }
}
