package ivrik.app.shell;

import java.nio.file.Path;

/** Location of the demo: in Ivrik's program folder. */
final class Demo {
    private Demo() {}

    static Path project() {
        return Path.of(System.getProperty("ivrik.home", "."))
                .resolve("demo/lantern-week/lantern-week.ivrik");
    }
}
