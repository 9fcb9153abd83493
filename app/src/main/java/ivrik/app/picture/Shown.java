package ivrik.app.picture;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;
import ivrik.core.render.Screen;

import javafx.scene.image.Image;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

import java.nio.IntBuffer;

/**
 * A rendered frame ready for the screen.
 *
 * @param pixels as shown, made from the frame
 * @param frame the samples, null where only pixels were kept
 * @param scale of the sequence's size
 */
public record Shown(int[] pixels, Size size, Frame frame, double scale) {
    public static Shown of(Frame frame, double scale, Workers workers) {
        int[] pixels = new int[frame.width() * frame.height()];
        Screen.pack(frame, pixels, workers);
        return new Shown(pixels, frame.size(), frame, scale);
    }

    /** Without the samples, to be kept by the hundred. */
    public Shown pixelsOnly() {
        return new Shown(pixels, size, null, scale);
    }

    /** The picture; made on the interface thread. */
    public Image image() {
        return new WritableImage(
                new PixelBuffer<>(
                        size.width(),
                        size.height(),
                        IntBuffer.wrap(pixels),
                        PixelFormat.getIntArgbPreInstance()));
    }

    public long bytes() {
        return 4L * pixels.length;
    }
}
