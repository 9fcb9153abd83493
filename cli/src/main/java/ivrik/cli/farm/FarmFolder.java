package ivrik.cli.farm;

import ivrik.media.MissingFileException;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The folder beside the target that all machines of a farm read: the plan, the script for one part, a marker
 * file per finished part, logs, and the job ids of the scheduler.
 */
public final class FarmFolder {
    /** An Ivrik command. */
    @FunctionalInterface
    public interface Command {
        /**
         * @return the exit code
         */
        int run(PrintWriter output, String... arguments);
    }

    private static final String PLAN = "farm.json";
    private static final String JOBS = "jobs";
    private static final String JOIN = "join";

    /** Exit code of a part that must not be repeated because it would fail again. */
    public static final int NOT_AGAIN = 3;

    private final Path folder;
    private final FarmPlan plan;

    private FarmFolder(Path folder, FarmPlan plan) {
        this.folder = folder;
        this.plan = plan;
    }

    /** The farm folder of a target. */
    public static Path of(Path out) {
        Path whole = out.toAbsolutePath().normalize();
        return whole.resolveSibling(whole.getFileName() + ".farm");
    }

    /** Whether a farm folder exists. */
    public static boolean isThere(Path folder) {
        return Files.exists(folder.resolve(PLAN));
    }

    /** Creates a folder without a plan. */
    public static void prepare(Path folder) {
        try {
            Files.createDirectories(folder.resolve("done"));
            Files.createDirectories(folder.resolve("logs"));
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /**
     * Starts a farm, or continues one with the same plan.
     *
     * @param program command that the machines run
     * @param retries number of repetitions of a failed part
     * @throws FarmException if the folder has another plan
     */
    public static FarmFolder begin(Path folder, FarmPlan plan, Path program, int retries) {
        if (isThere(folder) && !open(folder).plan.equals(plan)) {
            throw FarmException.ofSomethingElse(folder);
        }
        prepare(folder);
        Path part = folder.resolve("part");
        SafeFile.write(part, script(program, retries));
        part.toFile().setExecutable(true, false);
        SafeFile.write(folder.resolve(PLAN), plan.text());
        return new FarmFolder(folder, plan);
    }

    /**
     * @throws ivrik.core.IvrikException if the folder is missing or damaged
     */
    public static FarmFolder open(Path folder) {
        if (!isThere(folder)) {
            throw new MissingFileException(folder.resolve(PLAN).toString());
        }
        try {
            return new FarmFolder(folder, FarmPlan.parse(ProjectFile.text(folder.resolve(PLAN))));
        } catch (IllegalArgumentException e) {
            throw new FarmException(
                    folder.resolve(PLAN) + " is damaged: " + e.getMessage(),
                    "start again with --restart",
                    e);
        }
    }

    /** Deletes the folder; outputs stay. */
    public static void remove(Path folder) {
        if (!isThere(folder)) {
            return;
        }
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(each);
            }
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /** The script repeats a part whose process was killed. */
    private static String script(Path program, int retries) {
        return """
        #!/usr/bin/env bash
        # Runs one part of the plan in this folder, with retries: part K, or part join.
        here=$(cd "$(dirname "$0")" && pwd)
        for try in $(seq 0 %d); do
          %s farm-part "$here" "$1"
          code=$?
          case $code in 0 | %d) exit $code ;; esac
        done
        exit 1
        """
                .formatted(retries, quoted(program.toString()), NOT_AGAIN);
    }

    /** Quotes a word for a shell. */
    static String quoted(String argument) {
        return "'" + argument.replace("'", "'\\''") + "'";
    }

    public Path path() {
        return folder;
    }

    public int parts() {
        return plan.parts().size();
    }

    /** Numbers of unfinished parts, from 1. */
    public List<Integer> missing() {
        return IntStream.rangeClosed(1, parts())
                .boxed()
                .filter(k -> !isDone(Integer.toString(k)))
                .toList();
    }

    public boolean isJoined() {
        return isDone(JOIN);
    }

    private boolean isDone(String which) {
        return Files.exists(folder.resolve("done").resolve(which));
    }

    /** Output of a part's command, for all attempts. */
    public Path log(String which) {
        return folder.resolve("logs").resolve(which + ".txt");
    }

    /**
     * Runs a part unless it is finished.
     *
     * @param which number of the part, or {@code join}
     * @return the exit code: 0 for success, {@link #NOT_AGAIN} if parts to join are missing
     */
    public int run(String which, Command command) {
        if (isDone(which)) {
            return 0;
        }
        boolean joins = which.equals(JOIN);
        if (joins && !missing().isEmpty()) {
            say(which, "missing: " + Ranges.text(missing()));
            return NOT_AGAIN;
        }
        List<String> arguments = joins ? plan.join() : part(which);
        StringWriter output = new StringWriter();
        int exit =
                arguments.isEmpty()
                        ? 0
                        : command.run(
                                new PrintWriter(output, true), arguments.toArray(String[]::new));
        say(which, output + "ended with " + exit);
        if (exit == 0) {
            SafeFile.write(folder.resolve("done").resolve(which), "");
        }
        return exit;
    }

    private List<String> part(String which) {
        if (!which.matches("\\d{1,6}")
                || Integer.parseInt(which) < 1
                || Integer.parseInt(which) > parts()) {
            throw new FarmException(
                    "part " + which + " does not exist", "parts go from 1 to " + parts(), null);
        }
        return plan.parts().get(Integer.parseInt(which) - 1);
    }

    /** Appends to a log; on a full disk only the exit code remains. */
    private void say(String which, String arguments) {
        String line =
                Instant.now().truncatedTo(ChronoUnit.SECONDS) + " " + arguments.strip() + "\n";
        try {
            Files.writeString(
                    log(which), line, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        } catch (IOException e) {
            System.err.println("ivrik: " + line.strip());
        }
    }

    /** Job ids of the scheduler; empty if there are none. */
    public String jobs() {
        Path file = folder.resolve(JOBS);
        return Files.exists(file) ? ProjectFile.text(file).strip() : "";
    }

    void jobs(String names) {
        SafeFile.write(folder.resolve(JOBS), names + "\n");
    }
}
