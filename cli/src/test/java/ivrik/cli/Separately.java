package ivrik.cli;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** Runs the command in its own process. */
final class Separately {
    private Separately() {}

    /** The command line of the process, for scripts that put a prefix before it. */
    static List<String> command(String... words) {
        List<String> command =
                new ArrayList<>(
                        List.of(
                                Path.of(System.getProperty("java.home"), "bin/java").toString(),
                                "--add-modules=jdk.incubator.vector",
                                "--enable-native-access=ALL-UNNAMED",
                                "-XX:-UsePerfData",
                                "-Divrik.log=off",
                                "-Dorg.bytedeco.javacpp.cachedir=" + unpacked(),
                                "-cp",
                                System.getProperty(
                                        "surefire.test.class.path",
                                        System.getProperty("java.class.path")),
                                "ivrik.cli.Ivrik"));
        command.addAll(List.of(words));
        return command;
    }

    /**
     * Writes an executable script that runs the command. It suits short work on small pictures: Java compiles
     * little.
     */
    static Path program(Path file) throws IOException {
        String words =
                command().stream()
                        .map(w -> "'" + w.replace("'", "'\\''") + "'")
                        .collect(Collectors.joining(" "));
        String soon = "JDK_JAVA_OPTIONS='-XX:+UseSerialGC -XX:TieredStopAtLevel=1'";
        Files.writeString(file, "#!/bin/sh\nexport " + soon + "\nexec " + words + " \"$@\"\n");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
        return file;
    }

    /** The folder of the unpacked libraries, which the new processes share. */
    private static Path unpacked() {
        return Path.of(System.getProperty("user.home"), ".javacpp/cache");
    }

    /**
     * @param folder the working folder; its data folder is {@code data} inside
     */
    static Process ivrik(Path folder, String... words) throws IOException {
        ProcessBuilder process = new ProcessBuilder(command(words)).directory(folder.toFile());
        process.environment().put("IVRIK_DATA", folder.resolve("data").toString());
        return process.start();
    }
}
