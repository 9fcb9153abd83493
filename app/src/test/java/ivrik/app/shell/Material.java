package ivrik.app.shell;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Files for window tests. */
final class Material {
    /** The folder of the demo project and its media. Read only. */
    static final Path DEMO = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week");

    private Material() {}

    /** Creates a folder if absent. */
    static void folder(Path folder) {
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Writes a grey still of 96x64 pixels. */
    static Path still(Path folder, String name, double value) {
        return still(folder, name, 96, 64, value);
    }

    static Path still(Path folder, String name, int width, int height, double value) {
        Plane p = Plane.flat(width, height, (float) value);
        Path file = folder.resolve(name);
        StillWriter.write(Frame.opaque(p, p, p), file, Depth.INT8, Workers.shared());
        return file;
    }

    /** Copies the demo into a folder and returns its project file. */
    static Path demo(Path folder) throws IOException {
        Files.createDirectories(folder.resolve("media"));
        try (var files = Files.list(DEMO.resolve("media"))) {
            for (Path file : files.toList()) {
                Files.copy(file, folder.resolve("media").resolve(file.getFileName()));
            }
        }
        String name = "lantern-week.ivrik";
        return Files.copy(DEMO.resolve(name), folder.resolve(name));
    }
}
