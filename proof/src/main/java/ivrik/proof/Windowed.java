package ivrik.proof;

import ivrik.app.shell.MainWindow;

import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.FutureTask;

/** A window in a separate process, with one imported clip and simulated input. */
final class Windowed {
    /** Input that continues until the process ends. */
    @FunctionalInterface
    interface Work {
        void on(Windowed window) throws Exception;
    }

    private MainWindow window;
    private Robot robot;

    private Windowed() {}

    /** Opens a window with a file and runs the input; an error ends the process with a message. */
    static void run(Path data, Path file, Work work) {
        try {
            work.on(open(data, file));
        } catch (Throwable e) {
            e.printStackTrace();
            Runtime.getRuntime().halt(1);
        }
    }

    private static Windowed open(Path data, Path file) throws Exception {
        Windowed made = new Windowed();
        Platform.startup(
                () -> {
                    Stage stage = new Stage();
                    made.window = new MainWindow(stage, data);
                    stage.show();
                    stage.requestFocus();
                    made.robot = new Robot();
                    made.window.take(List.of(file));
                });
        made.settle();
        return made;
    }

    MainWindow window() {
        return window;
    }

    /** Waits for the picture. */
    void settle() throws Exception {
        while (!on(() -> window.isSettled() && window.hasPicture())) {
            Thread.sleep(20);
        }
    }

    /** Presses keys together. */
    void key(KeyCode... keys) throws Exception {
        on(
                () -> {
                    for (KeyCode key : keys) {
                        robot.keyPress(key);
                    }
                    for (int i = keys.length - 1; i >= 0; i--) {
                        robot.keyRelease(keys[i]);
                    }
                    return null;
                });
    }

    static <T> T on(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }
}
