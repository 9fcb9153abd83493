package ivrik.proof;

import ivrik.core.picture.Depth;
import ivrik.core.threads.Workers;
import ivrik.media.encode.Form;
import ivrik.media.encode.Forms;
import ivrik.media.encode.StillWriter;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

/** A small whole file of every kind that is read, made once in this process. */
final class Samples {
    private static final int MOVIE_FRAMES = 4;
    private static List<Path> made;

    private Samples() {}

    /** Files, and one folder of lanes. */
    static synchronized List<Path> files() throws IOException {
        if (made == null) {
            made = make(Files.createTempDirectory("ivrik-samples"));
        }
        return made;
    }

    private static List<Path> make(Path folder) throws IOException {
        Path still = folder.resolve("still.png");
        StillWriter.write(
                MediaMatrix.noise(65, 49, true, new Random(1)),
                still,
                Depth.INT16,
                Workers.shared());
        for (Form form : Forms.all()) {
            MediaMatrix.written(
                    still, form, form.isMovie() ? MOVIE_FRAMES : 1, folder.resolve("a"));
        }
        MediaMatrix.run(0, "separate", still, "--model", "cmyk", "-o", folder.resolve("lanes"));
        Path cube = folder.resolve("look.cube");
        MediaMatrix.run(0, "cube", "--look", "duotone", "--points", "17", "-o", cube);
        Path media = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media");
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
