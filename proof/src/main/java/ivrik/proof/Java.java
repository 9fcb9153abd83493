package ivrik.proof;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Java processes of the same Java and classes as this one, and of the classes that Ivrik keeps for a quick start, told as its launcher tells it. */
final class Java {
    private Java() {}

    /** The command that runs a main class without a display. */
    static List<String> command(List<String> flags, Class<?> main, Object... words) {
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
        if (Files.exists(classes)) { // of other jars than these, it is left aside
            command.addAll(List.of("-XX:AOTCache=" + classes, "-Xlog:disable"));
        }
        command.addAll(flags);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), main.getName()));
        for (Object word : words) {
            command.add(word.toString());
        }
        return command;
    }
}
