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
 * The folder beside the target that all machines of a farm see: the plan, a script that does one part, a mark for
 * each that is done, logs, and which jobs the scheduler made.
 */
public final class FarmFolder {
    /** A command of ours. */
    @FunctionalInterface
    public interface Command {
        /**
         * @return the exit code
         */
        int run(PrintWriter said, String... words);
    }

    private static final String PLAN = "farm.json";
    private static final String JOBS = "jobs";
    private static final String JOIN = "join";

    /** Once is enough: it would end the same way. */
    public static final int NOT_AGAIN = 3;

    private final Path folder;
    private final FarmPlan plan;

    private FarmFolder(Path folder, FarmPlan plan) {
        this.folder = folder;
        this.plan = plan;
    }

    /** Where the folder of a target is. */
    public static Path of(Path out) {
        Path whole = out.toAbsolutePath().normalize();
        return whole.resolveSibling(whole.getFileName() + ".farm");
    }

    /** Whether there is one. */
    public static boolean isThere(Path folder) {
        return Files.exists(folder.resolve(PLAN));
    }

    /** Makes a folder in which nothing is planned yet. */
    public static void prepare(Path folder) {
        try {
            Files.createDirectories(folder.resolve("done"));
            Files.createDirectories(folder.resolve("logs"));
        } catch (IOException e) {
            throw SafeFile.fault(folder, e);
        }
    }

    /**
     * Begins a farm, or goes on with one of the same plan.
     *
     * @param program the command that machines start
     * @param retries how often a part that fails is done again
     * @throws FarmException if there is one with another plan
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
     * @throws ivrik.core.IvrikException if there is none, or it is damaged
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
                    "begin anew with --again",
                    e);
        }
    }

    /** Takes it away with all that it knows; what has been made stays. */
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

    /** A process can be killed; whoever started it does it again. */
    private static String script(Path program, int retries) {
        return """
        #!/usr/bin/env bash
        # Does one part of the plan beside it, again if it fails: part K, or part join.
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

    /** As one word for a shell. */
    static String quoted(String word) {
        return "'" + word.replace("'", "'\\''") + "'";
    }

    public Path path() {
        return folder;
    }

    public int parts() {
        return plan.parts().size();
    }

    /** Parts that are not done, counted from 1. */
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

    /** What the command of a part has said, each time it was tried. */
    public Path log(String which) {
        return folder.resolve("logs").resolve(which + ".txt");
    }

    /**
     * Does a part, unless it is done.
     *
     * @param which its number, or {@code join}
     * @return the exit code: 0 done, {@link #NOT_AGAIN} where parts are missing that are to be joined
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
        List<String> words = joins ? plan.join() : part(which);
        StringWriter said = new StringWriter();
        int exit =
                words.isEmpty()
                        ? 0
                        : command.run(new PrintWriter(said, true), words.toArray(String[]::new));
        say(which, said + "ended with " + exit);
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
                    "there is no part " + which, "parts go from 1 to " + parts(), null);
        }
        return plan.parts().get(Integer.parseInt(which) - 1);
    }

    /** Adds to a log; where the disk is full it cannot, and the exit code must do. */
    private void say(String which, String words) {
        String line = Instant.now().truncatedTo(ChronoUnit.SECONDS) + " " + words.strip() + "\n";
        try {
            Files.writeString(
                    log(which), line, StandardOpenOption.CREATE, StandardOpenOption.APPEND);
        } catch (IOException e) {
            System.err.println("ivrik: " + line.strip());
        }
    }

    /** The jobs that the scheduler has made, as it names them; empty if none. */
    public String jobs() {
        Path file = folder.resolve(JOBS);
        return Files.exists(file) ? ProjectFile.text(file).strip() : "";
    }

    void jobs(String names) {
        SafeFile.write(folder.resolve(JOBS), names + "\n");
    }
}
