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

/**
 * A window and a hand that nudges the first lane to the right every so often, until the process is
 * killed: {@code Hand DATA FILE PAUSE_MS}. Each nudge is said with its time, in milliseconds since 1970.
 */
public final class Hand {
    static final String NUDGED = "nudged ";

    private Hand() {}

    public static void main(String[] args) throws Exception {
        MainWindow[] window = new MainWindow[1];
        Robot[] robot = new Robot[1];
        Platform.startup(
                () -> {
                    Stage stage = new Stage();
                    window[0] = new MainWindow(stage, Path.of(args[0]));
                    stage.show();
                    stage.requestFocus();
                    robot[0] = new Robot();
                    window[0].take(List.of(Path.of(args[1])));
                });
        while (!on(() -> window[0].isSettled() && window[0].hasPicture())) {
            Thread.sleep(20);
        }
        while (true) {
            Thread.sleep(Long.parseLong(args[2]));
            long now = System.currentTimeMillis();
            on(
                    () -> {
                        robot[0].keyPress(KeyCode.RIGHT);
                        robot[0].keyRelease(KeyCode.RIGHT);
                        return null;
                    });
            System.out.println(NUDGED + now);
        }
    }

    private static <T> T on(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }
}
