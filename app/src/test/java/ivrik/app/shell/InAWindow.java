package ivrik.app.shell;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;

/** An empty window with its own settings for each test. */
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
