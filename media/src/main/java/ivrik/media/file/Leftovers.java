package ivrik.media.file;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Temporary files of a process that was killed while writing. */
final class Leftovers {
    private static final Logger LOG = LoggerFactory.getLogger(Leftovers.class);

    private Leftovers() {}

    /**
     * Deletes files named {@code prefix}, owner token and more, {@code ending}, whose owner has ended.
     */
    static void remove(Path folder, String prefix, String ending) {
        DirectoryStream.Filter<Path> ours =
                file -> {
                    String name = file.getFileName().toString();
                    return name.startsWith(prefix) && name.endsWith(ending);
                };
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, ours)) {
            for (Path file : files) {
                if (owner(file, prefix).filter(ProcessOwner::isGone).isPresent()) {
                    Files.deleteIfExists(file);
                }
            }
        } catch (IOException e) {
            // harmless: they only use disk space
            LOG.warn("leftover files in {} could not be deleted", folder, e);
        }
    }

    private static Optional<ProcessOwner> owner(Path file, String prefix) {
        String rest = file.getFileName().toString().substring(prefix.length());
        return ProcessOwner.parse(rest.substring(0, Math.max(0, rest.indexOf('.'))));
    }
}
