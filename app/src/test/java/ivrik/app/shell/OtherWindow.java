package ivrik.app.shell;

import ivrik.core.look.Look;
import ivrik.core.project.Project;

import javafx.scene.input.KeyCode;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * A window in its own process that nudges the red channel to the right a number of times and reports each
 * nudge, until it is killed. A fault ends the process and is part of the failure message here.
 */
final class OtherWindow implements AutoCloseable {
    private static final String READY = "ready";

    private final Process process;
    private final BufferedReader said;
    private final List<Long> nudgedAt = new ArrayList<>();

    /**
     * @param file a project to open, or a picture to import
     * @param pauseMs the pause between two nudges, in ms
     */
    OtherWindow(Path data, Path file, int nudges, int pauseMs) throws IOException {
        process =
                new ProcessBuilder(
                                Path.of(System.getProperty("java.home"), "bin/java").toString(),
                                "--add-modules=jdk.incubator.vector",
                                "--enable-native-access=ALL-UNNAMED",
                                "-XX:TieredStopAtLevel=1", // starts faster; the process does little
                                "-Dglass.platform=Headless",
                                "-Dprism.order=sw",
                                "-Divrik.home=" + System.getProperty("ivrik.home"),
                                "-cp",
                                System.getProperty(
                                        "surefire.test.class.path",
                                        System.getProperty("java.class.path")),
                                OtherWindow.class.getName(),
                                data.toString(),
                                file.toString(),
                                Integer.toString(nudges),
                                Integer.toString(pauseMs))
                        .redirectErrorStream(true)
                        .start();
        said = process.inputReader();
        waitFor(READY);
    }

    private String waitFor(String beginning) throws IOException {
        StringBuilder before = new StringBuilder();
        for (String line = said.readLine(); line != null; line = said.readLine()) {
            if (line.startsWith(beginning)) {
                return line;
            }
            before.append(line).append('\n');
        }
        throw new AssertionError(
                "the other window ended before it said " + beginning + "; it said:\n" + before);
    }

    /** Waits for a number of nudges. */
    void nudged(int times) throws IOException {
        while (nudgedAt.size() < times) {
            nudgedAt.add(Long.parseLong(waitFor("nudged ").substring("nudged ".length())));
        }
    }

    /** The number of nudges before a time, in ms since 1970. */
    long nudgesBefore(long time) {
        return nudgedAt.stream().filter(t -> t <= time).count();
    }

    /** Kills the process, as a crash would; returns the time of the kill in ms since 1970. */
    long kill() {
        long now = System.currentTimeMillis();
        process.destroyForcibly();
        try {
            process.waitFor();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        return now;
    }

    /** The shift of the red channel of a project, in pixels to the right. */
    static double red(Project project) {
        Look look = project.layers().getFirst().looks().getFirst().look();
        return look.steps().getFirst().channels().getFirst().value("x").rest();
    }

    @Override
    public void close() {
        kill();
        try {
            said.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static void main(String[] args) {
        try {
            nudge(args);
        } catch (Throwable e) {
            e.printStackTrace();
            Runtime.getRuntime().halt(1);
        }
    }

    private static void nudge(String[] args) throws InterruptedException {
        Driver d = new Driver(Path.of(args[0]));
        Driver.run(() -> d.window.take(List.of(Path.of(args[1]))));
        Driver.until(
                "the file is imported", () -> !d.window.session().project().layers().isEmpty());
        d.settle();
        System.out.println(READY);
        for (int i = 0; i < Integer.parseInt(args[2]); i++) {
            Thread.sleep(Long.parseLong(args[3]));
            long began = System.currentTimeMillis();
            d.key(KeyCode.RIGHT);
            System.out.println("nudged " + began);
        }
        Thread.sleep(Long.MAX_VALUE);
    }
}
