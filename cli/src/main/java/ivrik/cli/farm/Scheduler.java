package ivrik.cli.farm;

import ivrik.media.MissingFileException;
import ivrik.media.file.SafeFile;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A script that submits parts as jobs. Some come with Ivrik; a site may use a modified copy. The script is
 * stored in the farm folder so that jobs find it on any machine.
 */
public final class Scheduler {
    /** Scripts that come with Ivrik. */
    public static final List<String> NAMES = List.of("slurm", "local", "kubernetes");

    private static final String SCRIPT = "scheduler";

    private final String text;

    private Scheduler(String text) {
        this.text = text;
    }

    /**
     * @param nameOrFile one of {@link #NAMES}, or a script file
     * @throws MissingFileException if neither exists
     */
    public static Scheduler of(String nameOrFile) {
        String name = nameOrFile.toLowerCase(Locale.ROOT);
        if (!NAMES.contains(name)) {
            Path file = Path.of(nameOrFile);
            if (!Files.isRegularFile(file)) {
                throw new MissingFileException(nameOrFile);
            }
            return new Scheduler(ivrik.media.file.ProjectFile.text(file));
        }
        try (InputStream in = Scheduler.class.getResourceAsStream(name + ".sh")) {
            return new Scheduler(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new IllegalStateException(name, e);
        }
    }

    /** The script as text. */
    public String text() {
        return text;
    }

    /**
     * Submits parts and the join.
     *
     * @param parts numbers of the parts, from 1; empty to join only
     * @param parallel largest number of parallel jobs
     * @return message of the scheduler
     */
    public String submit(FarmFolder farm, List<Integer> parts, int parallel) {
        SafeFile.write(script(farm), text);
        Map<String, String> reported =
                Map.of(
                        "FARM_PARTS",
                        Ranges.text(parts),
                        "FARM_LIST",
                        parts.stream().map(String::valueOf).collect(Collectors.joining(" ")),
                        "FARM_PARALLEL",
                        Integer.toString(parallel),
                        "FARM_AT_ONCE", // for scripts of version 2
                        Integer.toString(parallel));
        Said said = run(farm, "submit", reported);
        if (said.exit != 0) {
            throw new FarmException(
                    "the scheduler rejected the jobs: " + said.output(),
                    "check that its commands are installed or choose another --scheduler",
                    null);
        }
        farm.jobs(said.out.strip());
        return said.err.strip();
    }

    /** Cancels the unfinished jobs of a farm; finished parts stay. */
    public static void cancel(FarmFolder farm) {
        Said said = run(farm, "cancel", Map.of());
        if (said.exit != 0) {
            throw new FarmException(
                    "the jobs " + farm.jobs() + " could not be cancelled: " + said.output(),
                    "ask the scheduler",
                    null);
        }
        farm.jobs("");
    }

    /**
     * Whether jobs of a farm are queued or running; the last process may end slightly after its part.
     */
    public static boolean isAlive(FarmFolder farm) {
        return !farm.isJoined() && !farm.jobs().isEmpty() && run(farm, "alive", Map.of()).exit == 0;
    }

    private record Said(int exit, String out, String err) {
        String output() {
            return (err + out).strip().replaceAll("\\s*\\n\\s*", "; ");
        }
    }

    private static Path script(FarmFolder farm) {
        return farm.path().resolve(SCRIPT);
    }

    private static Said run(FarmFolder farm, String verb, Map<String, String> reported) {
        Path err = farm.path().resolve("logs/scheduler.txt");
        ProcessBuilder builder =
                new ProcessBuilder("bash", script(farm).toString(), verb)
                        .directory(farm.path().toFile())
                        .redirectError(err.toFile());
        Map<String, String> environment = builder.environment();
        environment.put("FARM_FOLDER", farm.path().toString());
        environment.put("FARM_COUNT", Integer.toString(farm.parts()));
        environment.put("FARM_JOBS", farm.jobs());
        environment.putAll(reported);
        try {
            Process process = builder.start();
            process.getOutputStream().close();
            String out = new String(process.getInputStream().readAllBytes());
            return new Said(process.waitFor(), out, Files.readString(err));
        } catch (IOException e) {
            throw new FarmException(
                    "cannot create jobs: " + e.getMessage(), "check that bash is installed", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new FarmException("interrupted", "run again to continue", e);
        }
    }
}
