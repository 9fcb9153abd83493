package ivrik.app.shell;

import java.nio.file.Path;

/** Where the demo lies: in the folder that Ivrik was started from. */
final class Demo {
    private Demo() {}

    static Path project() {
        return Path.of(System.getProperty("ivrik.home", "."))
                .resolve("demo/lantern-week/lantern-week.ivrik");
    }
}
