package ivrik.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.spi.ToolProvider;

/**
 * Stands in for the window where the window is not part of the build, and records its arguments.
 */
public final class WindowStandIn implements ToolProvider {
    static final int EXIT = 3;
    static List<String> reported;

    @Override
    public String name() {
        return "ivrik-window";
    }

    @Override
    public int run(PrintWriter out, PrintWriter err, String... args) {
        reported = List.of(args);
        return EXIT;
    }
}
