package ivrik.app.shell;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** Shows a file in the platform's file manager. */
final class ShowInFolder {
    private static final Logger LOG = LoggerFactory.getLogger(ShowInFolder.class);

    private ShowInFolder() {}

    static void inItsFolder(Path file) {
        String os = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        String folder = file.toAbsolutePath().getParent().toString();
        List<String> command =
                os.contains("win")
                        ? List.of("explorer", "/select," + file.toAbsolutePath())
                        : os.contains("mac")
                                ? List.of("open", "-R", file.toString())
                                : List.of("xdg-open", folder);
        try {
            new ProcessBuilder(command)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException e) {
            LOG.warn("{} could not be shown", file, e);
        }
    }
}
