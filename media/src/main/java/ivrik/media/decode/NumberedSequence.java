package ivrik.media.decode;

import ivrik.media.MissingFileException;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Stills with numbers in their names. The name has {@code %04d} (or {@code %d}) in place of the number; frame
 * 0 is the lowest existing number, and a missing number is a missing frame.
 */
public record NumberedSequence(Path pattern, long first, long last) {
    private static final Pattern PLACE = Pattern.compile("%(0(\\d+))?d");

    /** Whether a name has a placeholder for a number. */
    public static boolean isPattern(Path path) {
        return PLACE.matcher(path.getFileName().toString()).find();
    }

    /**
     * @throws MissingFileException if no file matches
     */
    public static NumberedSequence of(Path pattern) {
        SortedMap<Long, Path> files = files(pattern);
        if (files.isEmpty()) {
            throw new MissingFileException(pattern.toString());
        }
        return new NumberedSequence(pattern, files.firstKey(), files.lastKey());
    }

    /** The files that match a pattern, by number. */
    public static SortedMap<Long, Path> files(Path pattern) {
        String name = pattern.getFileName().toString();
        Matcher place = PLACE.matcher(name);
        if (!place.find()) {
            throw new IllegalArgumentException(name + " has no %d");
        }
        Pattern named =
                Pattern.compile(
                        Pattern.quote(name.substring(0, place.start()))
                                + (place.group(2) == null
                                        ? "(\\d{1,18})"
                                        : "(\\d{"
                                                + Math.min(18, Integer.parseInt(place.group(2)))
                                                + ",18})")
                                + Pattern.quote(name.substring(place.end())));
        SortedMap<Long, Path> numbered = new TreeMap<>();
        Path folder = pattern.toAbsolutePath().getParent();
        if (Files.isDirectory(folder)) {
            try (var files = Files.newDirectoryStream(folder)) {
                for (Path file : files) {
                    Matcher match = named.matcher(file.getFileName().toString());
                    if (match.matches()) {
                        numbered.put(Long.parseLong(match.group(1)), file);
                    }
                }
            } catch (IOException e) {
                throw new MissingFileException(pattern.toString());
            }
        }
        return numbered;
    }

    /** The pattern of the sequence that contains a still; empty for a single still. */
    public static Optional<Path> around(Path still) {
        Matcher digits =
                Pattern.compile("^(.*?)(\\d+)(\\.[^.]+)$").matcher(still.getFileName().toString());
        if (!digits.matches()) {
            return Optional.empty();
        }
        Path pattern =
                still.resolveSibling(
                        digits.group(1) + "%0" + digits.group(2).length() + "d" + digits.group(3));
        return of(pattern).frames() > 1 ? Optional.of(pattern) : Optional.empty();
    }

    public long frames() {
        return last - first + 1;
    }

    /** The file of frame {@code n}. */
    public Path file(long n) {
        return numbered(pattern, first + n);
    }

    /** A pattern with its number filled in. */
    public static Path numbered(Path pattern, long number) {
        Matcher place = PLACE.matcher(pattern.getFileName().toString());
        String digits = Long.toString(number);
        if (!place.find()) {
            return pattern;
        }
        int width = place.group(2) == null ? 1 : Integer.parseInt(place.group(2));
        String padded = "0".repeat(Math.max(0, width - digits.length())) + digits;
        return pattern.resolveSibling(place.replaceFirst(padded));
    }
}
