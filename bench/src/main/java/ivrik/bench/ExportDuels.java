package ivrik.bench;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Look;
import ivrik.core.project.Project;
import ivrik.media.decode.Import;
import ivrik.media.file.ProjectFile;

import org.bytedeco.ffmpeg.ffmpeg;
import org.bytedeco.javacpp.Loader;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Compares whole exports with the {@code ffmpeg} command and its own filters, each doing the same: 240 frames
 * of 1920x1080 decoded, treated and encoded on two threads, alternately.
 */
public final class ExportDuels {
    private static final int FRAMES = 240;
    private static final int ROUNDS = 3;

    private final Path home;
    private final Path folder;
    private final Path film;
    private final Path reference = Path.of(Loader.load(ffmpeg.class));

    private ExportDuels(Path home, Path folder) throws IOException, InterruptedException {
        this.home = home;
        this.folder = folder;
        this.film = folder.resolve("film.mp4");
        Path tram = home.resolve("demo/lantern-week/media/tram.webm");
        Spent.of(
                folder,
                command(
                        "-stream_loop -1 -i %s -frames:v %d -vf scale=1920:1080 -c:v libopenh264"
                                + " -b:v 20M -an %s",
                        tram, FRAMES, film));
    }

    /**
     * @param args kind of row to measure, {@code split} or {@code blur}; all if empty
     */
    public static void main(String[] args) throws IOException, InterruptedException {
        Path home = Path.of(System.getProperty("ivrik.home", "."));
        Path folder = Files.createTempDirectory("ivrik-export");
        try {
            ExportDuels duels = new ExportDuels(home, folder);
            List<String> kinds = args.length == 0 ? List.of("split", "blur") : List.of(args);
            System.out.println("work     processor time  elapsed  peak memory of Ivrik");
            for (String kind : kinds) {
                duels.run(kind);
            }
        } finally {
            remove(folder);
        }
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted((a, b) -> b.compareTo(a)).toList()) {
                Files.delete(file);
            }
        }
    }

    private void run(String kind) throws IOException, InterruptedException {
        boolean split = kind.equals("split");
        Look look =
                split
                        ? BuiltInLooks.named("rgb-split")
                                .withDial("red-x", 7)
                                .withDial("blue-x", -7)
                        : BuiltInLooks.named("channel-blur")
                                .withDial("red", 12)
                                .withDial("green", 0)
                                .withDial("blue", 12);
        Project project = Import.project(Import.source(film, "film"), look);
        Path file = folder.resolve(kind + ".ivrik");
        ProjectFile.save(file, project);
        Path ours = folder.resolve("ours" + (split ? ".mkv" : ".mp4"));
        Path theirs = folder.resolve("theirs" + (split ? ".mkv" : ".mp4"));
        List<Spent> our = new ArrayList<>();
        List<Spent> their = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            our.add(
                    Spent.of(
                            folder,
                            List.of(
                                    home.resolve("ivrik").toString(),
                                    "render",
                                    file.toString(),
                                    "-o",
                                    ours.toString(),
                                    "--no-sound",
                                    "--overwrite")));
            their.add(Spent.of(folder, command(split ? SPLIT : BLUR, film, theirs)));
            System.out.println("  " + our.getLast() + "   " + their.getLast());
        }
        System.out.printf(
                Locale.ROOT,
                "%-8s %14.2f %5.2f %12d MB%n",
                kind,
                median(our, their, true),
                median(our, their, false),
                our.stream().mapToLong(Spent::megabytes).max().orElse(0));
    }

    private static double median(List<Spent> ours, List<Spent> theirs, boolean processor) {
        double[] ratios = new double[ours.size()];
        for (int i = 0; i < ratios.length; i++) {
            ratios[i] =
                    processor
                            ? ours.get(i).processor() / theirs.get(i).processor()
                            : ours.get(i).wall() / theirs.get(i).wall();
        }
        Arrays.sort(ratios);
        return ratios[ratios.length / 2];
    }

    private static final String SPLIT =
            "-threads 2 -filter_threads 2 -i %s -vf format=gbrp,rgbashift=rh=7:bh=-7:edge=smear,"
                    + "format=bgr0 -c:v ffv1 -level 3 -slices 4 -slicecrc 1 -g 1 -threads 2 -an %s";

    private static final String BLUR =
            "-threads 2 -filter_threads 2 -i %s -vf format=gbrp,gblur=sigma=6:planes=6,"
                    + "format=yuv420p -c:v libopenh264 -rc_mode bitrate -b:v 200M -qmin 26 -qmax 26"
                    + " -g 48 -profile:v high -coder cabac -threads 2 -an %s";

    private List<String> command(String words, Object... values) {
        List<String> command =
                new ArrayList<>(
                        List.of(
                                "env",
                                "LD_LIBRARY_PATH=" + reference.getParent(),
                                reference.toString(),
                                "-nostdin",
                                "-y",
                                "-v",
                                "error"));
        for (String word : words.split(" ")) {
            command.add(word);
        }
        int next = 0;
        for (int i = 0; i < command.size(); i++) {
            if (command.get(i).startsWith("%")) {
                command.set(i, String.valueOf(values[next++]));
            }
        }
        return command;
    }
}
