package ivrik.app.shell;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;

/** A window with nothing in it, and settings of its own. */
abstract class InAWindow {
    @TempDir Path folder;
    Driver d;

    @BeforeEach
    final void openWindow() {
        d = new Driver(folder.resolve("data"));
    }

    @AfterEach
    final void closeWindow() {
        d.close();
    }
}
