package ivrik.app.shell;

import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.look.Step;
import ivrik.core.motion.Value;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.sampling.Resample;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Treatment;
import ivrik.media.decode.MovieReader;
import ivrik.media.encode.StillWriter;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

import java.nio.file.Path;
import java.util.List;

/** A window with one frame of the tram, for tests of treatments. */
abstract class OneFrame {
    private static final Path TRAM =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");

    @TempDir static Path pictures;
    private static Path still;

    @TempDir Path folder;
    Driver d;

    /** Writes a small frame of the tram; the tests do not depend on the size. */
    @BeforeAll
    static void oneSmallFrame() {
        still = pictures.resolve("tram.png");
        try (MovieReader movie = new MovieReader(TRAM, Workers.shared())) {
            Frame small = Resample.to(movie.frame(40), new Size(640, 360), Workers.shared());
            StillWriter.write(small, still, Depth.INT8, Workers.shared());
        }
    }

    @BeforeEach
    void open() {
        d = new Driver(folder.resolve("data"));
        Driver.run(() -> d.window.take(List.of(still)));
        Driver.until(
                "the file is imported", () -> !d.window.session().project().layers().isEmpty());
        Driver.run(() -> d.window.view().frame.set(40));
        d.settle();
    }

    @AfterEach
    void close() {
        d.close();
    }

    final Look look() {
        return d.selectedLook();
    }

    final List<String> columns() {
        return look().steps().stream().map(Step::treatment).toList();
    }

    final void add(Treatment treatment) {
        Driver.run(() -> d.window.steps().add(treatment));
        d.settle();
    }

    final void set(int step, int channel, String name, double to) {
        Driver.run(
                () ->
                        d.window
                                .session()
                                .editLook(
                                        name,
                                        l ->
                                                l.withSettings(
                                                        step,
                                                        channel,
                                                        a -> a.with(name, Value.of(to)))));
    }

    final ChannelSettings settings(int step, int channel) {
        return look().steps().get(step).channels().get(channel);
    }
}
