package ivrik.media.encode;

import ivrik.core.picture.Size;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;

import javax.imageio.ImageIO;

/** Encodes thumbnails as PNG, for storage within another file. */
public final class SmallPng {
    private SmallPng() {}

    /**
     * @param pixels row by row, premultiplied ARGB of 8 bits each
     */
    public static byte[] of(int[] pixels, Size size) {
        BufferedImage image =
                new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_ARGB_PRE);
        image.getRaster().setDataElements(0, 0, size.width(), size.height(), pixels);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", bytes);
        } catch (IOException e) {
            throw new UncheckedIOException("writing to memory failed", e);
        }
        return bytes.toByteArray();
    }
}
