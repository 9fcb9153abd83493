package ivrik.installer;

import java.util.List;
import java.util.spi.ToolProvider;

/** The JDK's own tools, called within this process. */
final class Tool {
    private Tool() {}

    /**
     * @throws IllegalStateException if the JDK at hand has no such tool, or it fails, which it has said why
     */
    static void run(String name, List<String> words) {
        ToolProvider tool =
                ToolProvider.findFirst(name)
                        .orElseThrow(() -> new IllegalStateException("this Java has no " + name));
        int exit = tool.run(System.out, System.err, words.toArray(String[]::new));
        if (exit != 0) {
            throw new IllegalStateException(name + " ended with " + exit);
        }
    }
}
