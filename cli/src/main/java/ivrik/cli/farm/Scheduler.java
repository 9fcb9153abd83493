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
 * A way to have parts done: a script that makes jobs of them. Some come with Ivrik; a site may change a copy.
 * The script lies in the farm's folder, so that jobs find it wherever they run.
 */
public final class Scheduler {
    /** Those that come with Ivrik. */
    public static final List<String> NAMES = List.of("slurm", "local", "kubernetes");

    private static final String SCRIPT = "scheduler";

    private final String text;

    private Scheduler(String text) {
        this.text = text;
    }

    /**
     * @param nameOrFile one of {@link #NAMES}, or a script of one's own
     * @throws MissingFileException if it is neither
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

    /** The script, to be changed. */
    public String text() {
        return text;
    }

    /**
     * Has parts done, and then joined.
     *
     * @param parts which, counted from 1; none if there is only joining to be done
     * @param atOnce how many at a time
     * @return what it says to the user
     */
    public String submit(FarmFolder farm, List<Integer> parts, int atOnce) {
        SafeFile.write(script(farm), text);
        Map<String, String> told =
                Map.of(
                        "FARM_PARTS",
                        Ranges.text(parts),
                        "FARM_LIST",
                        parts.stream().map(String::valueOf).collect(Collectors.joining(" ")),
                        "FARM_AT_ONCE",
                        Integer.toString(atOnce));
        Said said = run(farm, "submit", told);
        if (said.exit != 0) {
            throw new FarmException(
                    "the scheduler did not take the jobs: " + said.words(),
                    "see to it that its commands are there, or choose another with --scheduler",
                    null);
        }
        farm.jobs(said.out.strip());
        return said.err.strip();
    }

    /** Takes back the jobs of a farm that are not done; what has been made stays. */
    public static void cancel(FarmFolder farm) {
        Said said = run(farm, "cancel", Map.of());
        if (said.exit != 0) {
            throw new FarmException(
                    "the jobs " + farm.jobs() + " could not be cancelled: " + said.words(),
                    "ask the scheduler",
                    null);
        }
        farm.jobs("");
    }

    /** Whether jobs of a farm are waiting or at work; the last one's process may end after all is done. */
    public static boolean isAlive(FarmFolder farm) {
        return !farm.isJoined() && !farm.jobs().isEmpty() && run(farm, "alive", Map.of()).exit == 0;
    }

    private record Said(int exit, String out, String err) {
        String words() {
            return (err + out).strip().replaceAll("\\s*\\n\\s*", "; ");
        }
    }

    private static Path script(FarmFolder farm) {
        return farm.path().resolve(SCRIPT);
    }

    private static Said run(FarmFolder farm, String verb, Map<String, String> told) {
        Path err = farm.path().resolve("logs/scheduler.txt");
        ProcessBuilder builder =
                new ProcessBuilder("bash", script(farm).toString(), verb)
                        .directory(farm.path().toFile())
                        .redirectError(err.toFile());
        Map<String, String> environment = builder.environment();
        environment.put("FARM_FOLDER", farm.path().toString());
        environment.put("FARM_COUNT", Integer.toString(farm.parts()));
        environment.put("FARM_JOBS", farm.jobs());
        environment.putAll(told);
        try {
            Process process = builder.start();
            process.getOutputStream().close();
            String out = new String(process.getInputStream().readAllBytes());
            return new Said(process.waitFor(), out, Files.readString(err));
        } catch (IOException e) {
            throw new FarmException(
                    "no jobs can be made: " + e.getMessage(), "see whether bash is there", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new FarmException("interrupted", "begin again to go on", e);
        }
    }
}
