package ivrik.core.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import java.util.function.Consumer;

/** The two fields at the start of each of Ivrik's files: format and version. */
final class FileHeader {
    static final int VERSION = 3;

    private FileHeader() {}

    static ObjectNode write(String format) {
        return Json.MAPPER.createObjectNode().put("format", format).put("version", VERSION);
    }

    /**
     * The fields of a text, lifted to the current version.
     *
     * @throws ForeignFileException if the file has another format or a newer version
     */
    static Fields read(String text, String format, Consumer<String> problems) {
        JsonNode root = Salvage.read(text, problems);
        if (!root.path("format").asText().equals(format)) {
            throw new ForeignFileException(
                    "not an " + format.replace("ivrik-", "Ivrik ") + " file",
                    "choose a file written by Ivrik; it contains \"format\": \"" + format + "\"");
        }
        JsonNode version = root.path("version");
        if (version.asInt(0) > VERSION) {
            throw new ForeignFileException(
                    "file version "
                            + version
                            + " is newer than this Ivrik, which reads up to version "
                            + VERSION,
                    "open it with a newer Ivrik; the file was not changed");
        }
        if (!version.isIntegralNumber() || version.intValue() < 1) {
            problems.accept(EnumNames.quoted(version) + " is not a version number; 1 used");
        }
        if (version.asInt(0) < 2) {
            Version1.lift((ObjectNode) root, problems);
        }
        if (version.asInt(0) < 3) {
            Version2.lift((ObjectNode) root);
        }
        Fields fields = new Fields(root, "", problems);
        fields.has("format");
        fields.has("version");
        return fields;
    }
}
