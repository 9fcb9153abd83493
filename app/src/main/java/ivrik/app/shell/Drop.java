package ivrik.app.shell;

import javafx.scene.Scene;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/** Files dropped on the window. */
final class Drop {
    private final Consumer<List<Path>> take;

    /**
     * @param take receives the files in order
     */
    Drop(Consumer<List<Path>> take) {
        this.take = take;
    }

    void install(Scene scene) {
        scene.addEventHandler(DragEvent.DRAG_OVER, this::over);
        scene.addEventHandler(DragEvent.DRAG_DROPPED, this::dropped);
    }

    private void over(DragEvent e) {
        if (e.getDragboard().hasFiles()) {
            e.acceptTransferModes(TransferMode.COPY);
        }
        e.consume();
    }

    private void dropped(DragEvent e) {
        boolean files = e.getDragboard().hasFiles();
        if (files) {
            take.accept(e.getDragboard().getFiles().stream().map(File::toPath).toList());
        }
        e.setDropCompleted(files);
        e.consume();
    }
}
