package ivrik.app;

import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

import java.time.Duration;
import java.time.Instant;

/**
 * Opens an empty window of the size of Ivrik's and prints how long JavaFX takes to draw it.
 * {@code bench/start} compares this with Ivrik's start. Not a test.
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
