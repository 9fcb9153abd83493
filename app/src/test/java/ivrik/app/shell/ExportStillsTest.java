package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.Preferences;
import ivrik.app.widget.NumberField;

import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;

/** One frame is saved as a still. */
class ExportStillsTest extends InAWindow {
    private String format() {
        return Driver.on(
                () ->
                        ((ivrik.media.encode.ExportFormat)
                                        ((ChoiceBox<?>) d.look("#export-format")).getValue())
                                .id());
    }

    private void target(String path) {
        Driver.run(() -> ((TextField) d.look("#export-target")).setText(path));
    }

    private void export(Path file) {
        target(file.toString());
        d.click("#export-start");
        Driver.until(
                "the file is written",
                () -> d.words().stream().anyMatch(w -> w.startsWith("Exported")));
        assertThat(Files.isRegularFile(file)).isTrue();
    }

    @Test
    void aMovieIsExportedWhole() {
        d.importFile(Material.DEMO.resolve("media/tram.webm"));
        d.key(KeyCode.CONTROL, KeyCode.E);
        d.settle();
        assertThat(format()).isEqualTo("av1");
        assertThat(d.text("#export-from")).isEqualTo("0");
    }

    @Test
    void aStillIsExportedAsAPictureUnlessItMoves() {
        d.importFile(Material.still(folder, "poster.png", 0.4));
        d.go(5);
        d.key(KeyCode.CONTROL, KeyCode.E);
        d.settle();
        assertThat(format()).isEqualTo("png");
        assertThat(d.text("#export-from")).isEqualTo("5");
        d.key(KeyCode.ESCAPE);
        d.key(KeyCode.SHIFT, KeyCode.K); // a burst moves it
        d.settle();
        d.key(KeyCode.CONTROL, KeyCode.E);
        d.settle();
        assertThat(format()).isEqualTo("av1");
    }

    @Test
    void channelsOfAStillAreExportedForThisFrame() {
        d.importFile(Material.still(folder, "poster.png", 0.4));
        d.go(5);
        d.key(KeyCode.RIGHT);
        d.files.project = folder.resolve("channels");
        Driver.run(() -> d.window.actions().channels().ask());
        d.settle();
        assertThat(((NumberField) d.find("#channels-from")).text()).isEqualTo("5");
        assertThat(((NumberField) d.find("#channels-to")).text()).isEqualTo("5");
        d.click("#choice-0");
        Driver.until("the channels are written", () -> d.words().contains("Channels exported"));
        try (Stream<Path> files = Files.walk(d.files.project)) {
            assertThat(files.filter(Files::isRegularFile)).hasSize(3);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void eachPurposeOfAFileDialogHasItsLastFolder() {
        Preferences kept = Preferences.FIRST.withFolder("look", folder);
        kept.save(folder);
        Preferences read = Preferences.load(folder);
        assertThat(read.folder("look")).contains(folder);
        assertThat(read.folder("footage")).isEmpty();
        assertThat(read.withFolder("look", folder.resolve("gone")).folder("look")).isEmpty();
    }

    @Test
    void thisFrameIsSavedByAKey() {
        d.importFile(Material.DEMO.resolve("media/tram.webm"));
        d.go(12);
        d.key(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.E);
        d.settle();
        assertThat(format()).isEqualTo("png");
        assertThat(d.text("#export-from")).isEqualTo("12");
        assertThat(d.text("#export-to")).isEqualTo("12");
        export(folder.resolve("tram.png"));
    }

    @Test
    void aTypedEndingChangesTheFormatAndTheRange() {
        d.importFile(Material.DEMO.resolve("media/tram.webm"));
        d.go(3);
        d.key(KeyCode.CONTROL, KeyCode.E);
        d.settle();
        target("/");
        assertThat(format()).as("not a complete name").isEqualTo("av1");
        target("/tmp/tram-%04d.png");
        assertThat(format()).isEqualTo("png");
        assertThat(d.text("#export-from")).isEqualTo("0");
        target("/tmp/tram.tif");
        assertThat(format()).isEqualTo("tiff");
        assertThat(d.text("#export-from")).isEqualTo("3");
        assertThat(d.text("#export-to")).isEqualTo("3");
    }
}
