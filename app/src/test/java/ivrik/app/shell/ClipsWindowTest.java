package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.core.picture.Frame;
import ivrik.core.project.FrameRange;
import ivrik.core.threads.Workers;
import ivrik.core.treatment.Grain;
import ivrik.media.decode.Footage;

import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** The selected look is applied to clips that are not in the project. */
class ClipsWindowTest extends OneFrame {
    private void make() {
        Driver.run(() -> d.window.actions().clips().ask());
        Driver.until("the message appears", () -> d.look("#choice-0") != null);
    }

    private static Frame read(Path file) {
        try (Footage footage = Footage.open(file, Workers.shared())) {
            return footage.frame(0, footage.size());
        }
    }

    @Test
    void goodClipsAreExportedAndBadOnesNamed() throws IOException {
        set(0, 0, "x", 6);
        Path light = Material.still(folder, "light.png", 0.8);
        Path dark = Material.still(folder, "dark.png", 0.3);
        Path bad = Files.writeString(folder.resolve("bad.png"), "no picture");
        d.files.footage = List.of(light, bad, dark);
        d.files.project = folder.resolve("out/{name}-parted.png");
        make();
        assertThat(d.words()).contains("1 clip failed");
        assertThat(d.words()).anyMatch(w -> w.contains("2 rendered") && w.contains("bad.png"));
        Driver.run(() -> d.window.sheets().away());
        assertThat(read(folder.resolve("out/dark-parted.png")).colour().getFirst().at(50, 30))
                .isEqualTo(read(dark).colour().getFirst().at(44, 30));
        assertThat(d.window.session().project().sources()).as("the project's own").hasSize(1);

        make();
        assertThat(d.words()).anyMatch(w -> w.contains("0 rendered, 2 already finished"));
    }

    @Test
    void clashingOutputNamesAreRefused() {
        d.files.footage = List.of(Material.still(folder, "light.png", 0.8));
        d.files.project = folder.resolve("same.png");
        make();
        assertThat(d.words()).contains("File names must differ");
        assertThat(folder.resolve("same.png")).doesNotExist();
    }

    /** Escape stops a long export and leaves no file. */
    @Test
    void anExportCanBeStopped() {
        add(new Grain());
        Path tram = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm");
        d.files.footage = List.of(tram);
        d.files.project = folder.resolve("{name}-grain.mkv");
        Driver.run(() -> d.window.actions().clips().ask());
        Driver.until("the export runs", () -> d.text("#progress-text").startsWith("Clip 1 of 1"));
        d.key(KeyCode.ESCAPE);
        Driver.until(
                "the message appears", () -> d.window.view().notice.get().startsWith("Stopped"));
        assertThat(d.window.sheets().isShowing()).isFalse();
        assertThat(folder.resolve("tram-grain.mkv")).doesNotExist();
    }

    /** Three frames of the tram's bell, at 24 fps: 44 bytes of header and 6000 samples of 6 bytes. */
    @Test
    void soundIsSavedWithoutPicture() throws IOException {
        d.importFile(
                Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media/tram.webm"));
        Driver.until(
                "the file is imported", () -> d.window.session().project().sources().size() == 2);
        Driver.run(
                () ->
                        d.window
                                .session()
                                .edit(
                                        "Range",
                                        p ->
                                                p.withPlayRange(
                                                        Optional.of(new FrameRange(100, 102)))));
        d.files.project = folder.resolve("bell");
        Driver.run(() -> d.window.actions().sound().save());
        Driver.until("the message appears", () -> d.look("#choice-0") != null);
        assertThat(d.words()).contains("Sound exported");
        assertThat(Files.size(folder.resolve("bell.wav"))).isEqualTo(44 + 6000 * 6);
    }
}
