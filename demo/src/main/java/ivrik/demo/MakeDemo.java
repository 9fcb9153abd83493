package ivrik.demo;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.MovieWriter;
import ivrik.media.encode.Quality;
import ivrik.media.encode.StillWriter;
import ivrik.media.file.ProjectFile;
import ivrik.media.file.SafeFile;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Writes the demo: {@code MakeDemo FOLDER}. */
public final class MakeDemo {
    private MakeDemo() {}

    public static void main(String[] args) throws IOException {
        Path folder = Path.of(args[0]);
        Path media = Files.createDirectories(folder.resolve("media"));
        movie(new TramScene(), true, media.resolve("tram.webm"));
        movie(new LanternScene(), false, media.resolve("lanterns.webm"));
        SafeFile.write(media.resolve("title.svg"), Graphics.title());
        StillWriter.write(
                frame(Graphics.chart()),
                media.resolve("register-chart.png"),
                Depth.INT8,
                Workers.shared());
        ProjectFile.save(
                folder.resolve("lantern-week.ivrik"),
                ProjectFile.whole(DemoProject.project(), folder));
    }

    private static void movie(Scene scene, boolean tram, Path out) {
        var options =
                MovieWriter.Options.of(
                                ExportFormats.VP9,
                                Quality.BEST,
                                new Size(Scene.WIDTH, Scene.HEIGHT),
                                Rational.of(Scene.RATE))
                        .withSound(true);
        try (MovieWriter writer = new MovieWriter(out, options, Workers.shared())) {
            for (int n = 0; n < Scene.FRAMES; n++) {
                writer.picture(scene.frame(n));
                writer.sound(SoundTrack.frame(tram, n));
            }
            writer.finish();
        }
    }

    static Frame frame(BufferedImage image) {
        int w = image.getWidth();
        int h = image.getHeight();
        Plane[] planes = {Plane.of(w, h), Plane.of(w, h), Plane.of(w, h)};
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int rgb = image.getRGB(x, y);
                for (int c = 0; c < 3; c++) {
                    planes[c].data()[y * w + x] = Depth.INT8.toFloat(rgb >> (16 - 8 * c) & 0xff);
                }
            }
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }
}
