package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventHandler;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.MouseButton;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.StackPane;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Files are dragged from the system over the window and dropped. */
class DropTest {
    private static final Path DEMO = Path.of(System.getProperty("ivrik.home"), "demo/lantern-week");

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

    /** Sends the events of a drag; returns true if the window accepted and took the files. */
    private boolean drop(List<File> files) {
        Dragboard board = mock();
        when(board.hasFiles()).thenReturn(!files.isEmpty());
        when(board.getTransferModes()).thenReturn(Set.of(TransferMode.COPY));
        when(board.getFiles()).thenReturn(files);
        return Driver.on(
                () -> {
                    Scene scene = d.look("#play").getScene();
                    List<DragEvent> seen = new ArrayList<>();
                    EventHandler<DragEvent> see = seen::add;
                    scene.addEventHandler(DragEvent.ANY, see);
                    Event.fireEvent(scene, event(DragEvent.DRAG_OVER, board));
                    Event.fireEvent(scene, event(DragEvent.DRAG_DROPPED, board));
                    scene.removeEventHandler(DragEvent.ANY, see);
                    return seen.get(0).isAccepted() && seen.get(1).isDropCompleted();
                });
    }

    private static DragEvent event(javafx.event.EventType<DragEvent> type, Dragboard board) {
        return new DragEvent(type, board, 400, 300, 400, 300, TransferMode.COPY, null, null, null);
    }

    @Test
    void aDroppedClipIsImportedAndNudgedByOneKey() throws IOException {
        Path tram = Files.copy(DEMO.resolve("media/tram.webm"), folder.resolve("tram.webm"));
        assertThat(drop(List.of(tram.toFile()))).isTrue();
        Driver.until("the file is imported", () -> !d.window.session().project().isEmpty());
        d.settle();
        d.key(javafx.scene.input.KeyCode.RIGHT);
        assertThat(d.channels().getFirst().value("x").rest()).isEqualTo(1);
    }

    @Test
    void aDroppedProjectIsOpened() {
        assertThat(drop(List.of(DEMO.resolve("lantern-week.ivrik").toFile()))).isTrue();
        Driver.until(
                "the sheet is open",
                () -> d.window.session().project().name().equals("Lantern Week"));
    }

    @Test
    void droppedTextIsIgnored() {
        assertThat(drop(List.of())).isFalse();
        assertThat(Driver.on(() -> d.window.session().project().isEmpty())).isTrue();
    }

    @Test
    void aDroppedFileThatIsNoPictureIsExplained() throws IOException {
        Path note = Files.writeString(folder.resolve("note.png"), "this is only text");
        assertThat(drop(List.of(note.toFile()))).isTrue();
        Driver.until(
                "it is explained",
                () -> d.words().stream().anyMatch(w -> w.contains("Could not import note.png")));
        assertThat(Driver.on(() -> d.window.session().project().isEmpty())).isTrue();
    }

    /** A file is dragged by mouse from a second window. Runs with a display only. */
    @Test
    void aFileIsDraggedFromAnotherWindow() {
        assumeTrue("gtk".equals(System.getProperty("glass.platform")));
        Path file = Material.still(folder, "dragged.png", 0.4);
        Stage other =
                Driver.on(
                        () -> {
                            Label label = new Label("drag me");
                            label.setOnDragDetected(
                                    e -> {
                                        ClipboardContent content = new ClipboardContent();
                                        content.putFiles(List.of(file.toFile()));
                                        label.startDragAndDrop(TransferMode.COPY)
                                                .setContent(content);
                                        e.consume();
                                    });
                            Stage stage = new Stage();
                            stage.setScene(new Scene(new StackPane(label), 160, 120));
                            stage.setX(1350);
                            stage.setY(100);
                            stage.show();
                            return stage;
                        });
        Driver.pulses(5);
        Robot robot = Driver.on(Robot::new);
        Driver.run(() -> robot.mouseMove(1430, 160));
        Driver.run(() -> robot.mousePress(MouseButton.PRIMARY));
        for (int x = 1430; x >= 600; x -= 20) {
            int to = x;
            Platform.runLater(() -> robot.mouseMove(to, 300));
            Driver.sleep(20);
        }
        Platform.runLater(() -> robot.mouseRelease(MouseButton.PRIMARY));
        Driver.until(
                "the file is imported", () -> !d.window.session().project().layers().isEmpty());
        Driver.run(other::close);
        assertThat(d.window.session().project().sources().getFirst().path())
                .isEqualTo(file.toString());
    }
}
