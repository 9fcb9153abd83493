package ivrik.proof;

import ivrik.cli.Ivrik;
import ivrik.core.picture.Frame;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;

/**
 * An export is killed midway: no incomplete file has its final name, and the next run continues to the same
 * frames.
 */
final class ExportKills implements Trial {
    private static final int FRAMES = 48;

    @Override
    public String name() {
        return "export-kills";
    }

    @Override
    public int run(long seed, Path folder) throws Exception {
        Random random = new Random(seed);
        String ending = List.of(".mkv", ".webm", ".mp4", "-%04d.png").get(random.nextInt(4));
        Path out = folder.resolve("out" + ending);
        Object[] words = {
            "apply",
            Samples.clip(),
            "--look",
            "rgb-split",
            "--frames",
            "0-" + (FRAMES - 1),
            "-o",
            out
        };
        Process process =
                new ProcessBuilder(Java.command(List.of(), Ivrik.class, words))
                        .redirectErrorStream(true)
                        .redirectOutput(folder.resolve("said-1.txt").toFile())
                        .start();
        boolean done = process.waitFor(800 + random.nextInt(3000), TimeUnit.MILLISECONDS);
        process.destroyForcibly().waitFor();
        check(folder, ending, done);
        int exit =
                new ProcessBuilder(Java.command(List.of(), Ivrik.class, with(words, "--overwrite")))
                        .redirectErrorStream(true)
                        .redirectOutput(folder.resolve("said-2.txt").toFile())
                        .start()
                        .waitFor();
        if (exit != 0) {
            throw new Failure(
                    "the next export ended with "
                            + exit
                            + ": "
                            + Files.readString(folder.resolve("said-2.txt")));
        }
        check(folder, ending, true);
        return 1;
    }

    private static Object[] with(Object[] words, Object more) {
        Object[] all = java.util.Arrays.copyOf(words, words.length + 1);
        all[words.length] = more;
        return all;
    }

    /** Checks that files with final names are complete. */
    private static void check(Path folder, String ending, boolean all) throws Exception {
        boolean stills = ending.contains("%");
        int there = 0;
        for (int n = 0; n < (stills ? FRAMES : 1); n++) {
            Path file = folder.resolve("out" + (stills ? String.format(ending, n) : ending));
            if (!Files.exists(file)) {
                continue;
            }
            there++;
            try (Footage footage = Footage.open(file, Workers.shared())) {
                long frames = footage.frames();
                Frame last = footage.delivered(stills ? 0 : FRAMES - 1, footage.size());
                if (!stills && frames != FRAMES || !GeneratedProjects.isSound(last)) {
                    throw new Failure(file + " has " + frames + " frames");
                }
            }
        }
        if (all && there != (stills ? FRAMES : 1)) {
            throw new Failure(there + " files remain");
        }
    }
}
