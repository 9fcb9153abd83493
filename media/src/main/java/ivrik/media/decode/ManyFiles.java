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

/** Names with {@code *} for any letters and {@code ?} for one, such as {@code clips/*.mov}. */
public final class ManyFiles {
    private static final Pattern WILD = Pattern.compile("[*?]");

    private ManyFiles() {}

    /** Whether a name stands for others: it has a {@code *} or a {@code ?} and is no file itself. */
    public static boolean isPattern(String name) {
        return WILD.matcher(name).find();
    }

    /**
     * The files that a name stands for, in the order of their names; itself if it is no pattern.
     *
     * @param name in which only what follows the last {@code /} may stand for many
     * @throws MissingFileException if a pattern fits no file
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
                                .mapToObj(ManyFiles::expression)
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
                        "cannot look into " + folder, "check that you may read it", e);
            }
        }
        if (found.isEmpty()) {
            throw new MissingFileException(name);
        }
        return found;
    }

    /** Hidden files are only those that are asked for as such. */
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
