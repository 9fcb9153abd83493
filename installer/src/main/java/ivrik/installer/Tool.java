package ivrik.installer;

import java.util.List;
import java.util.spi.ToolProvider;

/** The JDK's own tools, run within this process. */
final class Tool {
    private Tool() {}

    /**
     * @throws IllegalStateException if the JDK lacks the tool, or the tool fails, after it has printed the
     *     reason
     */
    static void run(String name, List<String> arguments) {
        ToolProvider tool =
                ToolProvider.findFirst(name)
                        .orElseThrow(
                                () -> new IllegalStateException("this JDK lacks the tool " + name));
        int exit = tool.run(System.out, System.err, arguments.toArray(String[]::new));
        if (exit != 0) {
            throw new IllegalStateException(name + " ended with " + exit);
        }
    }
}
