package ivrik.app.shell;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Comparator;
import java.util.stream.Stream;

/** A copy of the demo in a folder with a fixed name. */
final class DemoCopy {
    static final Path FOLDER = Path.of(System.getProperty("java.io.tmpdir"), "quillhaven");

    private DemoCopy() {}

    /**
     * Copies the demo and returns its project. Earlier copies are deleted; hidden files of open windows are
     * not copied.
     */
    static Path make() {
        Path from = Demo.project().getParent();
        remove();
        try (var files = Files.walk(from)) {
            for (Path file : files.filter(f -> !isHidden(f)).toList()) {
                Path target = FOLDER.resolve(from.relativize(file).toString());
                if (Files.isDirectory(file)) {
                    Files.createDirectories(target);
                } else {
                    Files.copy(file, target, StandardCopyOption.REPLACE_EXISTING);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return FOLDER.resolve(Demo.project().getFileName());
    }

    private static boolean isHidden(Path file) {
        return file.getFileName().toString().startsWith(".");
    }

    static void remove() {
        try (var files = Files.exists(FOLDER) ? Files.walk(FOLDER) : Stream.<Path>empty()) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
