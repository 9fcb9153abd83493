package ivrik.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;

/**
 * Resources that a command used.
 *
 * @param processor seconds of the command and its child processes
 * @param wall seconds
 * @param megabytes largest memory of any of its processes
 */
record Spent(double processor, double wall, long megabytes) {
    /**
     * Runs a command; needs bash for {@code time}.
     *
     * @param folder working folder for output
     * @throws IllegalStateException if the command fails, with the end of its output
     */
    static Spent of(Path folder, List<String> command) throws IOException, InterruptedException {
        Path times = folder.resolve("times");
        Path said = folder.resolve("said");
        List<String> timed =
                new ArrayList<>(
                        List.of(
                                "bash",
                                "-c",
                                "TIMEFORMAT='%R %U %S'; { time \"$@\" >\"$0\" 2>&1; } 2>" + times,
                                said.toString()));
        timed.addAll(command);
        Process process = new ProcessBuilder(timed).start();
        long most = 0;
        while (!process.waitFor(100, TimeUnit.MILLISECONDS)) {
            most = Math.max(most, process.descendants().mapToLong(Spent::mostOf).max().orElse(0));
        }
        if (process.exitValue() != 0) {
            throw new IllegalStateException(command + " failed: " + Files.readString(said));
        }
        String[] words = Files.readString(times).strip().split(" ");
        return new Spent(
                Double.parseDouble(words[1]) + Double.parseDouble(words[2]),
                Double.parseDouble(words[0]),
                most >> 10);
    }

    /** Peak memory of a process in kilobytes; 0 if unknown or ended. */
    private static long mostOf(ProcessHandle process) {
        try {
            return Files.readAllLines(Path.of("/proc/" + process.pid() + "/status")).stream()
                    .filter(line -> line.startsWith("VmHWM:"))
                    .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")))
                    .findFirst()
                    .orElse(0);
        } catch (NoSuchFileException e) {
            return 0;
        } catch (IOException e) {
            return 0; // the process has just ended
        }
    }

    @Override
    public String toString() {
        return String.format(
                Locale.ROOT, "%.1f s of processor, %.1f s, %d MB", processor, wall, megabytes);
    }
}
