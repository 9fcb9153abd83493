package ivrik.proof;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Starts Java processes with the same runtime, classes and options as the launcher, including the class
 * cache.
 */
final class Java {
    private Java() {}

    /** The command that runs a main class without a display. */
    static List<String> command(List<String> flags, Class<?> main, Object... arguments) {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin/java").toString());
        Path home = Path.of(System.getProperty("ivrik.home"));
        Path kept = home.resolve("target");
        Path vectors = kept.resolve("vectors.jar");
        command.addAll(
                Files.exists(vectors)
                        ? List.of(
                                "@" + kept.resolve("vectors.args"), "-Xbootclasspath/a:" + vectors)
                        : List.of("--add-modules=jdk.incubator.vector"));
        command.addAll(
                List.of(
                        "@" + home.resolve("build/java.args"),
                        "-Dglass.platform=Headless",
                        "-Dprism.order=sw",
                        "-Divrik.home=" + home));
        Path classes = kept.resolve("ivrik.aot");
        if (Files.exists(classes)) { // the JVM ignores a cache of other jars
            command.addAll(List.of("-XX:AOTCache=" + classes, "-Xlog:disable"));
        }
        command.addAll(flags);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), main.getName()));
        for (Object word : arguments) {
            command.add(word.toString());
        }
        return command;
    }
}
