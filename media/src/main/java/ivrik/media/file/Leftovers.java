package ivrik.media.file;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Parts of a file that a process was writing when it was killed. */
final class Leftovers {
    private static final Logger LOG = LoggerFactory.getLogger(Leftovers.class);

    private Leftovers() {}

    /**
     * Removes from a folder the files named {@code prefix}, an owner's token and more, {@code ending},
     * whose owner has ended.
     */
    static void remove(Path folder, String prefix, String ending) {
        DirectoryStream.Filter<Path> ours =
                file -> {
                    String name = file.getFileName().toString();
                    return name.startsWith(prefix) && name.endsWith(ending);
                };
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, ours)) {
            for (Path file : files) {
                if (owner(file, prefix).filter(Owner::isGone).isPresent()) {
                    Files.deleteIfExists(file);
                }
            }
        } catch (IOException e) {
            // They only take room; what is to be written now is of more weight.
            LOG.warn("leftovers in {}", folder, e);
        }
    }

    private static Optional<Owner> owner(Path file, String prefix) {
        String rest = file.getFileName().toString().substring(prefix.length());
        return Owner.parse(rest.substring(0, Math.max(0, rest.indexOf('.'))));
    }
}
