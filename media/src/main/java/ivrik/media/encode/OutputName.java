package ivrik.media.encode;

import ivrik.media.decode.NumberedSequence;

import java.nio.file.Path;

/** Output names with placeholders. */
public final class OutputName {
    /** The clip's name without extension and frame number. */
    public static final String NAME = "{name}";

    /** The name of the clip's folder. */
    public static final String FOLDER = "{folder}";

    /** The name of the take. */
    public static final String TAKE = "{take}";

    private OutputName() {}

    /** Whether a name contains the placeholder of the clip's name. */
    public static boolean isTemplate(String outs) {
        return outs.contains(NAME);
    }

    /** The output of a clip. */
    public static Path of(String outs, Path input) {
        Path folder = input.toAbsolutePath().normalize().getParent().getFileName();
        return Path.of(
                outs.replace(NAME, name(input))
                        .replace(FOLDER, folder == null ? "" : folder.toString()));
    }

    private static String name(Path input) {
        String name = input.getFileName().toString();
        if (NumberedSequence.isPattern(input)) {
            name = name.replaceAll("[-_. ]*%(0\\d+)?d", "");
        }
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) : name;
    }
}
