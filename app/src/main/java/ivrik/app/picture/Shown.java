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
 * A rendered frame ready for the screen.
 *
 * @param frame the samples, null where only pixels were made
 * @param scale of the sequence's size
 */
public record Shown(Screen screen, Frame frame, double scale) {
    public static Shown of(Frame frame, double scale, Workers workers) {
        return new Shown(Screen.of(frame, workers), frame, scale);
    }

    public int[] pixels() {
        return screen.pixels();
    }

    public Size size() {
        return screen.size();
    }

    /** The picture; made on the interface thread. */
    public Image image() {
        return new WritableImage(
                new PixelBuffer<>(
                        size().width(),
                        size().height(),
                        IntBuffer.wrap(pixels()),
                        PixelFormat.getIntArgbPreInstance()));
    }
}
