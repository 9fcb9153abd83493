package ivrik.proof;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.RecoverableWork;

import java.io.BufferedReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** A window is killed during input; everything done up to two seconds before is kept. */
final class WindowKills implements Trial {
    private static final int PAUSE_MS = 500;
    private static final long MAX_LOST_MS = 2000;

    private final int longestMs;

    /**
     * @param longestMs longest time until the window is killed; at least half of it is used
     */
    WindowKills(int longestMs) {
        this.longestMs = longestMs;
    }

    @Override
    public String name() {
        return "window-kills";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        boolean named = random.nextBoolean();
        Path data = Files.createDirectories(folder.resolve("data"));
        Path picture = folder.resolve("p.png");
        StillWriter.write(
                Frame.opaque(Plane.flat(64, 48, 0.5f), Plane.of(64, 48), Plane.of(64, 48)),
                picture,
                Depth.INT8,
                Workers.shared());
        Path project = folder.resolve("p.ivrik");
        ProjectFile.save(
                project,
                Import.project(Import.source(picture, "p"), BuiltInLooks.named("neutral")));
        Process process =
                new ProcessBuilder(
                                Java.command(
                                        List.of(),
                                        InputDriver.class,
                                        data,
                                        named ? project : picture,
                                        PAUSE_MS))
                        .redirectError(folder.resolve("errors.txt").toFile())
                        .start();
        List<Long> nudges = new ArrayList<>();
        long killed;
        try (BufferedReader said = process.inputReader()) {
            nudges.add(nudge(said));
            long end = nudges.getFirst() + longestMs / 2 + random.nextInt(longestMs / 2 + 1);
            while (nudges.getLast() < end) {
                nudges.add(nudge(said));
            }
            Thread.sleep(random.nextInt(PAUSE_MS));
            killed = System.currentTimeMillis();
            process.destroyForcibly().waitFor();
        } finally {
            process.destroyForcibly();
        }
        long must = nudges.stream().filter(t -> t <= killed - MAX_LOST_MS).count();
        List<RecoverableWork> lost =
                named ? RecoverableWork.of(project) : RecoverableWork.unnamed(data);
        if (lost.size() != 1) {
            throw new Failure(lost.size() + " journals after " + nudges.size() + " nudges");
        }
        double kept = red(lost.getFirst().read().project());
        if (kept < must) {
            throw new Failure(
                    "recovered "
                            + kept
                            + " of "
                            + nudges.size()
                            + " nudges, "
                            + must
                            + " expected at least");
        }
        return 1;
    }

    private static long nudge(BufferedReader said) throws Exception {
        for (String line = said.readLine(); line != null; line = said.readLine()) {
            if (line.startsWith(InputDriver.NUDGED)) {
                return Long.parseLong(line.substring(InputDriver.NUDGED.length()));
            }
        }
        throw new IllegalStateException("the window ended by itself");
    }

    private static double red(Project project) {
        Look look = project.layers().getFirst().looks().getFirst().look();
        return look.steps().getFirst().channels().getFirst().value("x").rest();
    }
}
