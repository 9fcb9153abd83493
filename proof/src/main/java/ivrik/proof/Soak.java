package ivrik.proof;

import ivrik.app.session.Preferences;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * The demo is edited and played for a while, with a picture budget of 1 GB or in a process of 1 GB: it uses
 * at most 600 MB more, and no frame fails.
 */
final class Soak implements Trial {
    private static final int BUDGET_MB = 1024;
    private static final int MORE_MB = 600;
    private static final Pattern FAILED =
            Pattern.compile("OutOfMemory|NotEnoughMemory|could not be|\\bERROR\\b");

    private final long seconds;

    Soak(long seconds) {
        this.seconds = seconds;
    }

    @Override
    public String name() {
        return "soak";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        boolean reported = seed % 2 == 0;
        Path data = Files.createDirectories(folder.resolve("data"));
        Path home = Path.of(System.getProperty("ivrik.home"));
        Path demo = Folders.copy(home.resolve("demo/lantern-week"), folder.resolve("demo"));
        Path log = folder.resolve("ivrik.log");
        if (reported) {
            Preferences.load(data).withMemoryMb(BUDGET_MB).save(data);
        }
        // runs without pauses at low priority, so that parallel trials get their share
        List<String> command = new ArrayList<>(List.of("nice", "-n", "10"));
        command.addAll(
                Java.command(
                        List.of(reported ? "-Xmx1280m" : "-Xmx1g", "-Divrik.log=" + log),
                        SoakDriver.class,
                        data,
                        demo.resolve("lantern-week.ivrik"),
                        seconds));
        Process process =
                new ProcessBuilder(command)
                        .redirectErrorStream(true)
                        .redirectOutput(folder.resolve("said.txt").toFile())
                        .start();
        long most = 0;
        try {
            while (process.isAlive()) {
                most = Math.max(most, resident(process));
                Thread.sleep(500);
            }
        } finally {
            process.destroyForcibly();
        }
        System.out.printf(
                "soak: %d MB at most, %s%n", most, reported ? "1 GB for pictures" : "1 GB");
        if (process.exitValue() != 0) {
            throw new Failure("the process ended with " + process.exitValue());
        }
        if (most > BUDGET_MB + MORE_MB) {
            throw new Failure(most + " MB");
        }
        List<String> failed =
                Files.readAllLines(log).stream().filter(l -> FAILED.matcher(l).find()).toList();
        if (!failed.isEmpty()) {
            throw new Failure(failed.size() + " errors, the first: " + failed.getFirst());
        }
        return 1;
    }

    /** Resident memory of a process in megabytes. */
    private static long resident(Process process) throws IOException {
        try {
            return Files.readAllLines(Path.of("/proc/" + process.pid() + "/status")).stream()
                    .filter(line -> line.startsWith("VmRSS:"))
                    .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")) >> 10)
                    .findFirst()
                    .orElse(0);
        } catch (java.nio.file.NoSuchFileException e) {
            return 0; // the process has just ended
        }
    }
}
