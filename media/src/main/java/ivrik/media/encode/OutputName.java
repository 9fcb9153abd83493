package ivrik.media.encode;

import ivrik.media.decode.NumberedSequence;

import java.nio.file.Path;

/** Names of files that are made from the names of others. */
public final class OutputName {
    /** Stands for the clip's name without its ending and without the place of a number. */
    public static final String NAME = "{name}";

    /** Stands for the name of the folder that the clip lies in. */
    public static final String FOLDER = "{folder}";

    /** Stands for the name of a take. */
    public static final String TAKE = "{take}";

    private OutputName() {}

    /** Whether it says where a clip's own name comes. */
    public static boolean isTemplate(String outs) {
        return outs.contains(NAME);
    }

    /** What a clip becomes. */
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
