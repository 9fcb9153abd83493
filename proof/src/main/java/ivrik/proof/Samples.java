package ivrik.proof;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Size;
import ivrik.core.project.Project;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Import;
import ivrik.media.encode.Export;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.StillWriter;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

/** A small valid file of every readable kind, generated once per process. */
final class Samples {
    private static final int MOVIE_FRAMES = 4;
    private static final Size CLIP = new Size(320, 180);
    private static final String HOME = System.getProperty("ivrik.home");
    private static List<Path> made;
    private static Path clip;

    private Samples() {}

    /** The still that the others are derived from. */
    static Path still() throws IOException {
        return files().stream().filter(f -> f.endsWith("still.png")).findFirst().orElseThrow();
    }

    /** Files, and one folder of channels. */
    static synchronized List<Path> files() throws IOException {
        if (made == null) {
            made = make(Files.createTempDirectory("ivrik-samples"));
        }
        return made;
    }

    /** 96 frames of the tram, small and lossless. */
    static synchronized Path clip() throws IOException {
        if (clip == null) {
            Path out = Files.createTempDirectory("ivrik-clip").resolve("tram.mkv");
            Path tram = Path.of(HOME, "demo/lantern-week/media/tram.webm");
            Project project =
                    Import.project(Import.source(tram, "tram"), BuiltInLooks.named("neutral"));
            Export.run(
                    Export.Order.of(
                            project.withSequence(project.sequence().withSize(CLIP)),
                            out,
                            ExportFormats.FFV1),
                    Workers.shared(),
                    n -> {},
                    Cancellation.NEVER);
            clip = out;
        }
        return clip;
    }

    private static List<Path> make(Path folder) throws IOException {
        Path still = folder.resolve("still.png");
        StillWriter.write(
                MediaMatrix.noise(65, 49, true, new Random(1)),
                still,
                Depth.INT16,
                Workers.shared());
        for (ExportFormat format : ExportFormats.all()) {
            int frames = format.isMovie() ? MOVIE_FRAMES : 1;
            MediaMatrix.written(still, format, frames, folder.resolve("" + format));
        }
        MediaMatrix.run(0, "separate", still, "--model", "cmyk", "-o", folder.resolve("channels"));
        Path cube = folder.resolve("look.cube");
        MediaMatrix.run(0, "cube", "--look", "duotone", "--points", "17", "-o", cube);
        Path media = Path.of(HOME, "demo/lantern-week/media");
        try (Stream<Path> drawings = Files.list(media)) {
            for (Path drawing : drawings.filter(f -> f.toString().endsWith(".svg")).toList()) {
                Files.copy(drawing, folder.resolve(drawing.getFileName()));
            }
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.sorted().toList();
        }
    }
}
