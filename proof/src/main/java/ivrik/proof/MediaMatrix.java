package ivrik.proof;

import ivrik.cli.Ivrik;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.StillWriter;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;

/**
 * Small pictures of odd sizes, with and without alpha, exported in every format and read again; channels of
 * several sizes joined: {@code MediaMatrix FOLDER SEED}. Prints each step.
 */
public final class MediaMatrix {
    private static final Workers WORKERS = new Workers(2);

    private MediaMatrix() {}

    public static void main(String[] args) throws Exception {
        Path folder = Path.of(args[0]);
        Random random = new Random(Long.parseLong(args[1]));
        for (boolean alpha : new boolean[] {false, true}) {
            int width = 65 + 2 * random.nextInt(8);
            int height = 65 + 2 * random.nextInt(8);
            for (Depth depth : List.of(Depth.INT8, Depth.INT16)) {
                Path still = folder.resolve("in-" + alpha + depth + ".png");
                StillWriter.write(noise(width, height, alpha, random), still, depth, WORKERS);
                for (ExportFormat format : ExportFormats.all()) {
                    Path out =
                            written(still, format, 1, folder.resolve(alpha + "" + depth + format));
                    try (Footage footage = Footage.open(out, WORKERS)) {
                        System.out.println(out + " " + footage.frame(0, footage.size()).size());
                    }
                }
            }
        }
        channelsOfSeveralSizes(folder);
        System.exit(0);
    }

    static Frame noise(int width, int height, boolean alpha, Random random) {
        Plane[] planes = new Plane[4];
        for (int i = 0; i < 4; i++) {
            planes[i] = Plane.of(width, height);
            for (int p = 0; p < width * height; p++) {
                planes[i].data()[p] = random.nextFloat();
            }
        }
        return alpha
                ? Frame.straight(planes[0], planes[1], planes[2], planes[3])
                : Frame.opaque(planes[0], planes[1], planes[2]);
    }

    /** A still split and exported; returns the file, or the pattern of the stills. */
    static Path written(Path still, ExportFormat format, int frames, Path stem) {
        Source source = Import.source(still, "in");
        Project project = Import.project(source, BuiltInLooks.named("rgb-split"));
        Path out =
                stem.resolveSibling(
                        stem.getFileName() + (format.isMovie() ? "" : "-%02d") + format.ending());
        Export.run(
                Export.Order.of(project, out, format).withRange(new FrameRange(0, frames - 1)),
                WORKERS,
                n -> {},
                Cancellation.NEVER);
        return out;
    }

    private static void channelsOfSeveralSizes(Path folder) throws Exception {
        Path large = folder.resolve("in-true" + Depth.INT8 + ".png");
        Path small = folder.resolve("in-false" + Depth.INT8 + ".png");
        Path channels = folder.resolve("channels");
        Path others = folder.resolve("others");
        run(0, "separate", large, "--model", "rgb", "-o", channels);
        run(0, "separate", small, "--model", "rgb", "-o", others);
        run(0, "rejoin", channels, "-o", folder.resolve("back.png"));
        Files.delete(channels.resolve("green.exr"));
        Files.copy(others.resolve("green.exr"), channels.resolve("green.exr"));
        run(1, "rejoin", channels, "-o", folder.resolve("mixed.png"));
    }

    static void run(int exit, Object... arguments) {
        String[] line = new String[arguments.length];
        for (int i = 0; i < line.length; i++) {
            line[i] = arguments[i].toString();
        }
        PrintWriter said = new PrintWriter(System.out, true);
        int got = Ivrik.run(said, said, line);
        if (got != exit) {
            throw new IllegalStateException(String.join(" ", line) + " ended with " + got);
        }
    }
}
