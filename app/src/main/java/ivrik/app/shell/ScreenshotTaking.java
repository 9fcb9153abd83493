package ivrik.app.shell;

import ivrik.app.sheet.LensSheet;
import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;
import ivrik.media.encode.StillWriter;

import javafx.animation.AnimationTimer;
import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;

import org.slf4j.LoggerFactory;

import java.nio.file.Path;
import java.time.Duration;
import java.util.Deque;

/** Takes pictures one after the other, each when the window is settled; any error ends it. */
final class ScreenshotTaking extends AnimationTimer {
    private static final int SETTLED_PULSES = 45;

    /** Time limit per picture. */
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private final Deque<Screenshot> shots;
    private final MainWindow window;
    private final Stage stage;
    private final Runnable end;
    private Screenshot now;
    private int waited;
    private long since = System.nanoTime();

    ScreenshotTaking(Deque<Screenshot> shots, MainWindow window, Stage stage, Runnable end) {
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
                        "this did not finish in time: " + String.join(", ", window.unsettled()));
            }
        } catch (RuntimeException e) {
            LoggerFactory.getLogger(Screenshots.class).error("a screenshot failed", e);
            System.err.println("ivrik: the screenshot failed: " + e.getMessage());
            IvrikApp.exit = 1;
            over();
        }
    }

    private void next() {
        if (!window.unsettled().isEmpty()) {
            return; // the demo is being opened
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

    /** Whether all thumbnails of a sheet are rendered. */
    private static boolean tilesAreThere(Stage stage) {
        return stage.getScene().getRoot().lookupAll(".tiles .image-view").stream()
                .allMatch(n -> ((ImageView) n).getImage() != null);
    }

    private static boolean isMeasuring(Stage stage) {
        return stage.getScene().getRoot().lookup("#lens-sheet") instanceof LensSheet sheet
                && sheet.isMeasuring();
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
