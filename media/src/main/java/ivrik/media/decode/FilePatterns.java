package ivrik.media.decode;

import ivrik.media.MissingFileException;
import ivrik.media.UnreadableMediaException;

import java.io.IOException;
import java.nio.file.DirectoryIteratorException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Expands file names with {@code *} and {@code ?}, such as {@code clips/*.mov}. */
public final class FilePatterns {
    private static final Pattern WILD = Pattern.compile("[*?]");

    private FilePatterns() {}

    /** Whether a name contains a wildcard and is not an existing file. */
    public static boolean isPattern(String name) {
        return WILD.matcher(name).find();
    }

    /**
     * The files that match a name, sorted by name; the name itself if it is not a pattern.
     *
     * @param name wildcards are allowed after the last {@code /}
     * @throws MissingFileException if no file matches
     */
    public static List<Path> of(String name) {
        int cut = 1 + Math.max(name.lastIndexOf('/'), name.lastIndexOf(java.io.File.separatorChar));
        String last = name.substring(cut);
        if (!isPattern(last)) {
            return List.of(Path.of(name));
        }
        Pattern fits =
                Pattern.compile(
                        last.codePoints()
                                .mapToObj(FilePatterns::expression)
                                .collect(Collectors.joining()));
        Path folder = Path.of(cut == 0 ? "" : name.substring(0, cut));
        List<Path> found = new ArrayList<>();
        if (Files.isDirectory(folder)) {
            try (Stream<Path> files = Files.list(folder)) {
                files.filter(Files::isRegularFile)
                        .filter(f -> fits(last, fits, f.getFileName().toString()))
                        .sorted()
                        .forEach(found::add);
            } catch (IOException | DirectoryIteratorException e) {
                throw new UnreadableMediaException(
                        "cannot list the folder " + folder, "check the read permission", e);
            }
        }
        if (found.isEmpty()) {
            throw new MissingFileException(name);
        }
        return found;
    }

    /** Hidden files match only a pattern that starts with a dot. */
    private static boolean fits(String asked, Pattern pattern, String name) {
        return pattern.matcher(name).matches() && (asked.startsWith(".") || !name.startsWith("."));
    }

    private static String expression(int letter) {
        return switch (letter) {
            case '*' -> ".*";
            case '?' -> ".";
            default -> Pattern.quote(Character.toString(letter));
        };
    }
}
