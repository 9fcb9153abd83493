package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Show;
import ivrik.core.cache.FrameCache;
import ivrik.core.look.ChannelSettings;
import ivrik.core.picture.Frame;
import ivrik.core.project.Project;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Workers;
import ivrik.media.decode.Footage;
import ivrik.media.decode.MediaPictures;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;

import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** A whole session: import, nudge, keyframe, jitter, play, compare, export, save, reopen, undo. */
class StoryTest {
    private static final Path DEMO = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week");

    @TempDir Path folder;

    private ChannelSettings settings(Driver d, int channel) {
        return d.channels().get(channel);
    }

    @Test
    void aClipIsSplitAnimatedExportedAndReopened() throws IOException {
        Files.createDirectories(folder.resolve("data"));
        Path clip = Files.copy(DEMO.resolve("media/tram.webm"), folder.resolve("tram.webm"));
        Path file = folder.resolve("night.ivrik");
        Path movie = folder.resolve("night.mkv");
        Project made;
        try (Driver d = new Driver(folder.resolve("data"))) {
            assertThat(d.words()).contains("Import...", "Drop a clip here");
            d.files.footage = List.of(clip);
            d.key(KeyCode.CONTROL, KeyCode.I);
            Driver.until(
                    "the clip is imported", () -> !d.window.session().project().layers().isEmpty());
            d.settle();
            assertThat(d.text("#register")).isEqualTo("exact");

            nudge(d);
            keyframeAndJitter(d);
            playAndCompare(d);
            export(d, movie);
            made = Driver.on(() -> d.window.session().project());

            undoAllAndRedo(d, made);
            d.files.project = file;
            d.key(KeyCode.CONTROL, KeyCode.S);
            Driver.until(
                    "the project is saved",
                    () -> Files.exists(file) && d.window.session().isSaved());
        }
        assertMovieIsWhatIsRendered(made, movie);
        try (Driver d = new Driver(folder.resolve("data"))) {
            d.files.project = file;
            d.key(KeyCode.CONTROL, KeyCode.O);
            d.settle();
            assertThat(Driver.on(() -> d.window.session().project())).isEqualTo(made);
            assertThat(d.text("#register")).startsWith("differs by up to");
        }
    }

    /**
     * One arrow press shifts by a pixel, with Shift by ten, with Alt by a tenth; a digit selects the channel.
     */
    private void nudge(Driver d) {
        d.key(KeyCode.RIGHT);
        d.settle();
        assertThat(settings(d, 0).value("x").rest()).isEqualTo(1);
        assertThat(d.text("#register")).startsWith("differs by up to ");
        d.key(KeyCode.SHIFT, KeyCode.RIGHT);
        d.key(KeyCode.ALT, KeyCode.LEFT);
        assertThat(settings(d, 0).value("x").rest()).isEqualTo(10.9);
        d.key(KeyCode.DIGIT3);
        d.key(KeyCode.DOWN);
        assertThat(settings(d, 2).value("y").rest()).isEqualTo(1);
        assertThat(settings(d, 1))
                .isEqualTo(settings(d, 1).with("x", ivrik.core.motion.Value.ZERO));
        assertThat(d.words()).contains("editing Blue, Shift");
    }

    private void keyframeAndJitter(Driver d) {
        d.key(KeyCode.DIGIT1);
        d.key(KeyCode.P);
        assertThat(settings(d, 0).value("x").keyframeAt(0)).isPresent();
        for (int i = 0; i < 6; i++) {
            d.key(KeyCode.CONTROL, KeyCode.RIGHT);
        }
        d.key(KeyCode.SHIFT, KeyCode.LEFT);
        assertThat(settings(d, 0).value("x").at(6)).isEqualTo(0.9);
        assertThat(settings(d, 0).value("x").at(3)).isEqualTo(5.9);
        d.number("#jitter-amount", "2*3");
        assertThat(settings(d, 0).jitter().amount().rest()).isEqualTo(6);
    }

    private void playAndCompare(Driver d) {
        d.key(KeyCode.F);
        d.key(KeyCode.F);
        d.key(KeyCode.HOME);
        Driver.run(() -> d.window.view().frame.set(0));
        d.key(KeyCode.SPACE);
        Driver.until(
                "several frames were played, of a loop that comes back to the first",
                () -> d.window.player().shownCount() > 4 && d.window.view().frame.get() > 0);
        d.key(KeyCode.SPACE);
        assertThat(Driver.on(() -> d.window.view().playing.get())).isFalse();
        d.settle();
        d.press(KeyCode.W);
        assertThat(d.words()).contains("Bypass").doesNotContain("Result");
        d.release(KeyCode.W);
        assertThat(d.words()).contains("Result");
        d.key(KeyCode.SHIFT, KeyCode.H);
        d.press(KeyCode.H);
        assertThat(d.words()).contains("Snapshot");
        d.release(KeyCode.H);
        d.key(KeyCode.B);
        Driver.run(() -> d.window.view().paneB.set(Show.DIFFERENCE));
        d.settle();
        assertThat(d.words()).contains("Difference from source, ×4");
        d.key(KeyCode.B);
    }

    @SuppressWarnings("unchecked")
    private void export(Driver d, Path movie) {
        d.key(KeyCode.CONTROL, KeyCode.E);
        Driver.run(
                () ->
                        ((ChoiceBox<ExportFormat>) d.look("#export-format"))
                                .setValue(ExportFormats.FFV1));
        Driver.run(() -> ((TextField) d.look("#export-to")).setText("5"));
        Driver.run(() -> ((TextField) d.look("#export-target")).setText(movie.toString()));
        d.click("#export-start");
        Driver.until(
                "the export is done",
                () ->
                        ((javafx.scene.control.Label) d.look("#export-text"))
                                .getText()
                                .startsWith("Exported"));
        assertThat(movie).exists();
        d.key(KeyCode.ESCAPE);
    }

    private void undoAllAndRedo(Driver d, Project made) {
        int steps = 0;
        while (Driver.on(() -> d.window.session().undoName().isPresent())) {
            d.key(KeyCode.CONTROL, KeyCode.Z);
            steps++;
        }
        assertThat(steps).isGreaterThanOrEqualTo(6);
        assertThat(Driver.on(() -> d.window.session().project().isEmpty())).isTrue();
        while (Driver.on(() -> d.window.session().redoName().isPresent())) {
            d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        }
        assertThat(Driver.on(() -> d.window.session().project())).isEqualTo(made);
    }

    private void assertMovieIsWhatIsRendered(Project made, Path movie) {
        try (MediaPictures pictures = new MediaPictures(Workers.shared());
                Footage read = Footage.open(movie, Workers.shared())) {
            assertThat(read.frames()).isEqualTo(6);
            assertThat(read.hasSound()).isTrue();
            Renderer renderer = new Renderer(pictures, Workers.shared(), new FrameCache(1 << 28));
            for (int n : new int[] {0, 5}) {
                Frame wanted = renderer.render(made, n);
                Frame got = read.frame(n, read.size());
                for (int i = 0; i < 5000; i++) {
                    int x = i * 37 % 1280;
                    int y = i * 91 % 720;
                    float v = Math.clamp(wanted.colour().get(0).at(x, y), 0f, 1f);
                    assertThat(Math.round(got.colour().get(0).at(x, y) * 255))
                            .isEqualTo((int) (v * 255.0 + 0.5));
                }
            }
        }
    }
}
