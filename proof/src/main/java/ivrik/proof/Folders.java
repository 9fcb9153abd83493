package ivrik.proof;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;

/** Folder trees. */
final class Folders {
    private Folders() {}

    static void remove(Path path) throws IOException {
        try (var all = Files.walk(path)) {
            for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(each);
            }
        }
    }

    /** Copies a folder tree; returns the copy. */
    static Path copy(Path from, Path to) throws IOException {
        try (var all = Files.walk(from)) {
            for (Path each : all.toList()) {
                Files.copy(each, to.resolve(from.relativize(each)));
            }
        }
        return to;
    }
}
