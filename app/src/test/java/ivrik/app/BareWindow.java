package ivrik.app;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

import java.time.Duration;
import java.time.Instant;

/**
 * Not a test: a window of the same size with nothing but a word in it, which says what it took to be drawn.
 * {@code bench/start} compares Ivrik's start with it.
 */
public final class BareWindow {
    private BareWindow() {}

    public static void main(String[] args) {
        Platform.startup(BareWindow::show);
    }

    private static void show() {
        Stage stage = new Stage();
        stage.setScene(new Scene(new Label("bare"), 1280, 800));
        stage.show();
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                if (++pulses == 3) {
                    ProcessHandle.Info process = ProcessHandle.current().info();
                    Duration wall =
                            Duration.between(process.startInstant().orElseThrow(), Instant.now());
                    System.out.println(
                            wall.toMillis()
                                    + " "
                                    + process.totalCpuDuration().orElseThrow().toMillis());
                    Platform.exit();
                }
            }
        }.start();
    }
}
