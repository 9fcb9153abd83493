package ivrik.app.shell;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.animation.AnimationTimer;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;

import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.time.Duration;
import java.util.Deque;

/** Takes one picture after the other, each when nothing moves any more; whatever goes wrong ends it. */
final class ShotTaking extends AnimationTimer {
    private static final int SETTLED_PULSES = 45;

    /** No picture takes longer, on the slowest machine. */
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private final Deque<Shot> shots;
    private final MainWindow window;
    private final Stage stage;
    private final Runnable end;
    private Shot now;
    private int waited;
    private long since = System.nanoTime();

    ShotTaking(Deque<Shot> shots, MainWindow window, Stage stage, Runnable end) {
        this.shots = shots;
        this.window = window;
        this.stage = stage;
        this.end = end;
    }

    @Override
    public void handle(long nanos) {
        try {
            if (now == null) {
                next();
            } else {
                takeIfSettled();
            }
            if (System.nanoTime() - since > PATIENCE.toNanos()) {
                throw new IllegalStateException(
                        "there is no end to " + String.join(", ", window.unsettled()));
            }
        } catch (RuntimeException e) {
            LoggerFactory.getLogger(Shots.class).error("a picture could not be taken", e);
            System.err.println("ivrik: a picture could not be taken: " + e.getMessage());
            IvrikApp.exit = 1;
            over();
        }
    }

    private void next() {
        if (!window.unsettled().isEmpty()) {
            return; // the demo is still being opened
        }
        now = shots.poll();
        waited = 0;
        since = System.nanoTime();
        if (now == null) {
            window.close();
            DemoCopy.remove();
            over();
        } else {
            now.prepare().accept(window);
        }
    }

    private void takeIfSettled() {
        boolean there = window.unsettled().isEmpty() && tilesAreThere(stage) && !isMeasuring(stage);
        waited = there ? waited + 1 : 0;
        if (waited > SETTLED_PULSES) {
            if (now.file() != null) {
                take(stage, now.file());
            }
            now = null;
        }
    }

    private void over() {
        stop();
        end.run();
    }

    /** Whether each small picture of a sheet has been made. */
    private static boolean tilesAreThere(Stage stage) {
        return stage.getScene().getRoot().lookupAll(".tiles .image-view").stream()
                .allMatch(n -> ((ImageView) n).getImage() != null);
    }

    private static boolean isMeasuring(Stage stage) {
        return stage.getScene().getRoot().lookup("#lens-word") instanceof Label word
                && word.getText().startsWith("Measuring");
    }

    private static void take(Stage stage, Path file) {
        WritableImage image = stage.getScene().snapshot(null);
        int w = (int) image.getWidth();
        int h = (int) image.getHeight();
        Plane[] planes = {Plane.of(w, h), Plane.of(w, h), Plane.of(w, h)};
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int argb = image.getPixelReader().getArgb(x, y);
                for (int c = 0; c < 3; c++) {
                    planes[c].data()[y * w + x] = Depth.INT8.toFloat(argb >> (16 - 8 * c) & 0xff);
                }
            }
        }
        StillWriter.write(
                Frame.opaque(planes[0], planes[1], planes[2]), file, Depth.INT8, Workers.shared());
    }
}
