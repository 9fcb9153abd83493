package ivrik.app.shell;

import java.nio.file.Path;
import java.util.function.Consumer;

/**
 * One picture of the window.
 *
 * @param file target, or null for a preparation only
 * @param prepare prepares the window
 */
record Screenshot(Path file, Consumer<MainWindow> prepare) {
    static Screenshot onlyPreparing(Consumer<MainWindow> prepare) {
        return new Screenshot(null, prepare);
    }
}
