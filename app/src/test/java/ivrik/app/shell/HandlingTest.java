package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.session.View.Show;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.threads.Workers;
import ivrik.media.encode.ExportFormat;
import ivrik.media.encode.ExportFormats;
import ivrik.media.encode.StillWriter;

import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** Import, replace, look around, loop and export, starting with an empty window. */
class HandlingTest {
    private static final Path MEDIA =
            Path.of(System.getProperty("ivrik.home"), "demo/lantern-week/media");

    @TempDir Path folder;

    private Driver d;

    @BeforeEach
    void open() throws IOException {
        d = new Driver(Files.createDirectories(folder.resolve("data")));
    }

    @AfterEach
    void close() {
        d.close();
    }

    private Path still(String name, float value) {
        Path file = folder.resolve(name);
        Plane p = Plane.flat(64, 36, value);
        p.data()[64 * 18 + 32] = 1;
        StillWriter.write(Frame.opaque(p, p, p), file, Depth.INT8, Workers.shared());
        return file;
    }

    private void importFile(Path... files) {
        int before = Driver.on(() -> project().sources().size());
        for (Path file : files) {
            Driver.run(() -> d.window.take(List.of(file)));
            int wanted = ++before;
            Driver.until("the file is imported", () -> project().sources().size() == wanted);
        }
        d.settle();
    }

    private Project project() {
        return d.window.session().project();
    }

    private double x(int channel) {
        return d.channels().get(channel).value("x").rest();
    }

    @Test
    void importedMoviesBecomeShotsAndGraphicsBecomeLayers() throws IOException {
        Path tram = Files.copy(MEDIA.resolve("tram.webm"), folder.resolve("tram.webm"));
        Path title = Files.copy(MEDIA.resolve("title.svg"), folder.resolve("title.svg"));
        importFile(tram, still("card.png", 0.2f), title);
        Project p = Driver.on(this::project);
        assertThat(p.sequence().size().width()).isEqualTo(1280);
        Layer shots = p.layers().getFirst();
        assertThat(shots.clips()).hasSize(2);
        assertThat(shots.cuts().values()).containsExactly(96L);
        assertThat(shots.clips().get(1).length()).isEqualTo(96);
        assertThat(p.layers().get(1).name()).isEqualTo("title");
        assertThat(p.layers().get(1).clips().getFirst().length()).isEqualTo(192);
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(Driver.on(() -> project().layers())).hasSize(1);
    }

    @Test
    void closingAsksAboutUnsavedWork() {
        importFile(still("a.png", 0.3f));
        d.key(KeyCode.RIGHT);
        d.key(KeyCode.CONTROL, KeyCode.N);
        assertThat(d.words()).anyMatch(w -> w.startsWith("Save ") && w.endsWith("?"));
        d.click("#choice-2");
        assertThat(x(0)).isEqualTo(1);
        d.key(KeyCode.CONTROL, KeyCode.N);
        d.files.project = folder.resolve("kept.ivrik");
        d.click("#choice-0");
        Driver.until("the look is new", () -> project().isEmpty());
        assertThat(folder.resolve("kept.ivrik")).exists();
        assertThat(d.words())
                .contains("Drop a clip here")
                .anyMatch(w -> w.startsWith("kept.ivrik"));
    }

    @Test
    void aChangedOrDeletedSourceIsReported() throws IOException {
        Path file = still("a.png", 0.3f);
        importFile(file);
        still("a.png", 0.9f);
        Files.setLastModifiedTime(file, java.nio.file.attribute.FileTime.fromMillis(5000));
        Driver.until(
                "it is read anew",
                () -> d.words().stream().anyMatch(w -> w.contains("changed on disk")));
        d.settle();
        Files.delete(file);
        Driver.until("the missing file is noticed", () -> d.words().contains("missing: relink"));
        d.files.source = still("b.png", 0.5f);
        d.settle();
        Driver.pulses(10);
        d.click("#source-a");
        Driver.until("the item is found", () -> !d.words().contains("missing: relink"));
        assertThat(Driver.on(() -> project().sources().getFirst().path())).endsWith("b.png");
    }

    @Test
    void aKeyChoosesHowOtherChannelsFollow() {
        importFile(still("a.png", 0.3f));
        d.key(KeyCode.V);
        d.key(KeyCode.SHIFT, KeyCode.RIGHT);
        assertThat(List.of(x(0), x(1), x(2))).containsExactly(10.0, 10.0, 10.0);
        d.key(KeyCode.V);
        d.key(KeyCode.RIGHT);
        assertThat(List.of(x(0), x(1), x(2))).containsExactly(11.0, 10.0, 9.0);
        d.key(KeyCode.V);
        d.key(KeyCode.RIGHT);
        assertThat(List.of(x(0), x(1), x(2))).containsExactly(12.0, 9.0, 8.0);
        d.key(KeyCode.G);
        d.key(KeyCode.V);
        d.key(KeyCode.BACK_SPACE);
        assertThat(x(0)).isZero();
        assertThat(Driver.on(() -> d.window.session().undoName())).contains("Reset Red");
    }

    @Test
    void aPaneShowsChannelsDifferenceAndTheSplitLineIsDragged() {
        importFile(still("a.png", 0.3f));
        d.key(KeyCode.A);
        assertThat(d.words()).contains("Channel in grey");
        d.settle();
        d.key(KeyCode.SHIFT, KeyCode.A);
        assertThat(d.words()).contains("Channel in ink colour");
        d.key(KeyCode.D);
        assertThat(Driver.on(() -> d.window.view().paneA.get())).isEqualTo(Show.DIFFERENCE);
        d.key(KeyCode.D);
        assertThat(Driver.on(() -> d.window.view().paneA.get())).isEqualTo(Show.RESULT);
        d.key(KeyCode.S);
        d.settle();
        Node pane = d.find("PicturePane");
        d.drag(pane, 0.5, 0.2, -60, 0);
        assertThat(Driver.on(() -> d.window.view().split.get())).isBetween(0.2, 0.48);
        d.key(KeyCode.S);
        assertThat(Driver.on(() -> d.window.view().split.get())).isNegative();
    }

    @Test
    void zoomKeepsTheMiddleAndTheFooterShowsValuesBeforeAndAfter() {
        importFile(still("a.png", 0.2f));
        d.key(KeyCode.EQUALS);
        double zoom = Driver.on(() -> d.window.view().zoom.get());
        assertThat(zoom).isPositive();
        assertThat(Driver.on(() -> d.window.view().centre.get().getX())).isBetween(0.49, 0.51);
        d.key(KeyCode.DIGIT0);
        assertThat(Driver.on(() -> d.window.view().zoom.get())).isZero();
        d.key(KeyCode.RIGHT);
        d.settle();
        d.move(d.find("PicturePane"), 0.5, 0.52);
        assertThat(d.words()).anyMatch(w -> w.matches("3\\d, 1\\d"));
        assertThat(d.words()).contains("before");
    }

    @Test
    void jitterIsAddedToAllChannelsWithSeparateSeeds() {
        importFile(still("a.png", 0.3f));
        d.click("#jitter-all");
        d.number("#jitter-amount", "5");
        var channels = d.channels();
        assertThat(channels).allMatch(a -> a.jitter().amount().rest() == 5);
        assertThat(Driver.on(() -> d.window.session().undoName())).contains("Jitter amount");
        d.key(KeyCode.CONTROL, KeyCode.Z);
        assertThat(d.channels()).allMatch(a -> a.jitter().isNone());
    }

    @Test
    void spacePlaysAndEnterPressesTheFocusedControl() {
        importFile(still("a.png", 0.3f));
        Driver.run(() -> d.look("#red-mute").requestFocus());
        d.key(KeyCode.SPACE);
        assertThat(Driver.on(() -> d.window.view().playing.get())).isTrue();
        d.key(KeyCode.SPACE);
        assertThat(Driver.on(() -> d.window.view().playing.get())).isFalse();
        Driver.run(() -> d.look("#red-mute").requestFocus());
        d.key(KeyCode.ENTER);
        assertThat(Driver.on(() -> d.window.session().state().look().orElseThrow().isShown(0)))
                .isFalse();
    }

    @Test
    void playingOnceStopsAtTheEndOfTheRange() {
        importFile(still("a.png", 0.3f));
        Driver.run(() -> d.window.view().frame.set(10));
        d.key(KeyCode.OPEN_BRACKET);
        Driver.run(() -> d.window.view().frame.set(16));
        d.key(KeyCode.CLOSE_BRACKET);
        Driver.run(() -> d.window.view().loop.set(false));
        d.key(KeyCode.HOME);
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(10);
        d.key(KeyCode.SPACE);
        Driver.until("the work has started", () -> d.window.view().frame.get() > 10);
        Driver.until("playback has stopped", () -> !d.window.view().playing.get());
        assertThat(Driver.on(() -> d.window.view().frame.get())).isEqualTo(16);
        d.key(KeyCode.BACK_SLASH);
        assertThat(Driver.on(() -> project().playRange())).isEmpty();
    }

    @Test
    @SuppressWarnings("unchecked")
    void aCancelledExportLeavesNoFile() throws IOException {
        Path tram = Files.copy(MEDIA.resolve("tram.webm"), folder.resolve("tram.webm"));
        importFile(tram);
        Path out = folder.resolve("long.mkv");
        d.key(KeyCode.CONTROL, KeyCode.E);
        Driver.run(
                () ->
                        ((ChoiceBox<ExportFormat>) d.look("#export-format"))
                                .setValue(ExportFormats.FFV1));
        Driver.run(() -> ((TextField) d.look("#export-target")).setText(out.toString()));
        d.click("#export-start");
        Driver.until(
                "the export runs", () -> d.words().stream().anyMatch(w -> w.contains(" left")));
        d.click("#export-cancel");
        Driver.until(
                "it has ended",
                () -> d.words().stream().anyMatch(w -> w.startsWith("Export cancelled")));
        assertThat(out).doesNotExist();
        try (var files = Files.list(folder)) {
            assertThat(files.map(f -> f.getFileName().toString()))
                    .noneMatch(n -> n.endsWith(".part"));
        }
        d.key(KeyCode.ESCAPE);
        assertThat(Driver.on(() -> d.window.sheets().isShowing())).isFalse();
    }

    @Test
    @SuppressWarnings("unchecked")
    void aCancelledSequenceKeepsItsFinishedStills() throws IOException {
        importFile(Files.copy(MEDIA.resolve("tram.webm"), folder.resolve("tram.webm")));
        d.key(KeyCode.CONTROL, KeyCode.E);
        Driver.run(
                () ->
                        ((ChoiceBox<ExportFormat>) d.look("#export-format"))
                                .setValue(ExportFormats.PNG));
        String target = folder.resolve("still-%04d.png").toString();
        Driver.run(() -> ((TextField) d.look("#export-target")).setText(target));
        d.click("#export-start");
        Driver.until(
                "the export runs", () -> d.words().stream().anyMatch(w -> w.contains(" left")));
        d.click("#export-cancel");
        Driver.until(
                "it has ended",
                () -> d.words().stream().anyMatch(w -> w.contains("Written frames are kept")));
        assertThat(folder.resolve("still-0000.png")).exists();
        assertThat(Driver.on(() -> d.look("#export-discard").isVisible())).isFalse();
        d.key(KeyCode.ESCAPE);
    }
}
