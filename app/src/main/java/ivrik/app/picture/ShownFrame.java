package ivrik.app.picture;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.render.Screen;
import ivrik.core.threads.Workers;

import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

import java.nio.IntBuffer;

/**
 * A rendered frame for the screen.
 *
 * @param frame samples; null if only pixels were computed
 * @param scale relative to the sequence's size
 */
public record ShownFrame(Screen screen, Frame frame, double scale) {
    public static ShownFrame of(Frame frame, double scale, Workers workers) {
        return new ShownFrame(Screen.of(frame, workers), frame, scale);
    }

    public int[] pixels() {
        return screen.pixels();
    }

    public Size size() {
        return screen.size();
    }

    /** The picture; to be called on the interface thread. */
    public Image image() {
        return new WritableImage(
                new PixelBuffer<>(
                        size().width(),
                        size().height(),
                        IntBuffer.wrap(pixels()),
                        PixelFormat.getIntArgbPreInstance()));
    }
}
