package ivrik.media.file;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** Files to delete if the process is terminated while writing. */
final class Interrupted {
    private static final Logger LOG = LoggerFactory.getLogger(Interrupted.class);
    private static final Set<Path> UNFINISHED = ConcurrentHashMap.newKeySet();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(Interrupted::removeAll, "ivrik-parts"));
    }

    private Interrupted() {}

    static void remove(Path file) {
        UNFINISHED.add(file);
    }

    static void forget(Path file) {
        UNFINISHED.remove(file);
    }

    private static void removeAll() {
        for (Path file : UNFINISHED) {
            try {
                Files.deleteIfExists(file);
            } catch (IOException e) {
                LOG.warn("{} is left", file, e);
            }
        }
    }
}
