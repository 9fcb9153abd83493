package ivrik.app.shell;

import java.nio.file.Path;
import java.util.function.Consumer;

/**
 * One picture of the window.
 *
 * @param file where it goes, or null if this is only prepared for the next
 * @param prepare what is done with the window before
 */
record Shot(Path file, Consumer<MainWindow> prepare) {
    static Shot onlyPreparing(Consumer<MainWindow> prepare) {
        return new Shot(null, prepare);
    }
}
