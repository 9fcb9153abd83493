package ivrik.installer;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Operations on folder trees. */
final class Trees {
    /** Date of all files, so that the same build gives the same package. */
    static final Instant DATE = Instant.parse("2026-01-01T00:00:00Z");

    private Trees() {}

    static List<Path> all(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.sorted().toList();
        }
    }

    static void remove(Path folder) throws IOException {
        if (Files.exists(folder, LinkOption.NOFOLLOW_LINKS)) {
            for (Path each : all(folder).stream().sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(each);
            }
        }
    }

    /** Copies a file or a folder tree. */
    static void copy(Path from, Path to) throws IOException {
        for (Path each : all(from)) {
            Path target = to.resolve(from.relativize(each).toString());
            if (Files.isDirectory(each, LinkOption.NOFOLLOW_LINKS)) {
                Files.createDirectories(target);
            } else {
                Files.createDirectories(target.getParent());
                Files.copy(
                        each,
                        target,
                        StandardCopyOption.COPY_ATTRIBUTES,
                        LinkOption.NOFOLLOW_LINKS);
            }
        }
    }

    /** Sets the date of all files in a folder tree. */
    static void date(Path folder) throws IOException {
        for (Path each : all(folder)) {
            if (!Files.isSymbolicLink(each)) {
                Files.setLastModifiedTime(each, FileTime.from(DATE));
            }
        }
    }

    static long bytes(Path folder) throws IOException {
        long sum = 0;
        for (Path each : all(folder)) {
            sum += Files.isRegularFile(each, LinkOption.NOFOLLOW_LINKS) ? Files.size(each) : 0;
        }
        return sum;
    }
}
