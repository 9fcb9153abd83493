package ivrik.app;

import ivrik.app.shell.IvrikApp;

import java.io.PrintWriter;
import java.lang.foreign.Arena;
import java.lang.foreign.SymbolLookup;
import java.util.Locale;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.spi.ToolProvider;

/**
 * The window as a tool of the command line: {@code [FILE...]}, {@code --demo}, or {@code --screenshots DIR}.
 * Without a display, and for screenshots, JavaFX's Headless platform is used.
 */
public final class WindowTool implements ToolProvider {
    /** Suppresses JavaFX's warning about the class path, which is intended here. */
    private static final Logger JAVAFX = Logger.getLogger("javafx");

    @Override
    public String name() {
        return "ivrik-window";
    }

    @Override
    public int run(PrintWriter out, PrintWriter err, String... args) {
        JAVAFX.setLevel(Level.SEVERE);
        boolean screenshots = args.length > 0 && args[0].equals("--screenshots");
        boolean demo = args.length > 0 && args[0].equals("--demo");
        boolean headless = screenshots || !hasDisplay();
        if (headless && !screenshots && !demo) {
            err.println(
                    "ivrik: no display found. Set DISPLAY, or use a command (see 'ivrik --help')");
            return 1;
        }
        if (headless) {
            System.setProperty("glass.platform", "Headless");
            System.setProperty("prism.order", "sw");
        } else if (isLinux() && !hasGtk()) {
            err.println(
                    "ivrik: GTK 3 is required for the window. Install it, for example with"
                            + " 'apt-get install libgtk-3-0'");
            return 1;
        }
        IvrikApp.run(headless, args);
        return IvrikApp.exit;
    }

    private static boolean isLinux() {
        return System.getProperty("os.name").toLowerCase(Locale.ROOT).contains("linux");
    }

    private static boolean hasDisplay() {
        return !isLinux()
                || isSet("DISPLAY")
                || isSet("WAYLAND_DISPLAY")
                || "Headless".equals(System.getProperty("glass.platform"));
    }

    private static boolean isSet(String name) {
        return System.getenv(name) != null && !System.getenv(name).isBlank();
    }

    private static boolean hasGtk() {
        try (Arena arena = Arena.ofConfined()) {
            SymbolLookup.libraryLookup("libgtk-3.so.0", arena);
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
