package ivrik.media.vector;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.ViewBox;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.net.MalformedURLException;
import java.nio.file.Path;

/** An SVG document. */
public final class VectorGraphic {
    private final SVGDocument document;

    private VectorGraphic(SVGDocument document) {
        this.document = document;
    }

    /**
     * @throws UnreadableMediaException if it is not an SVG that can be read
     */
    public static VectorGraphic open(Path path) {
        SVGDocument document = null;
        RuntimeException cause = null;
        try {
            document = new SVGLoader().load(path.toUri().toURL());
        } catch (MalformedURLException e) {
            cause = new IllegalArgumentException(e);
        } catch (RuntimeException e) {
            cause = e;
        }
        if (document == null) {
            throw new UnreadableMediaException(
                    path + " cannot be read as a vector graphic",
                    "check that it is an SVG file",
                    cause);
        }
        return new VectorGraphic(document);
    }

    /** Its own size in pixels, rounded up. */
    public Size size() {
        return new Size(
                (int) Math.max(1, Math.ceil(document.size().getWidth())),
                (int) Math.max(1, Math.ceil(document.size().getHeight())));
    }

    /** Drawn to fill a size; straight alpha, 8 bit. */
    public Frame draw(Size size) {
        BufferedImage image =
                new BufferedImage(size.width(), size.height(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.setRenderingHint(RenderingHints.KEY_RENDERING, RenderingHints.VALUE_RENDER_QUALITY);
        document.render(null, g, new ViewBox(size.width(), size.height()));
        g.dispose();
        int[] argb = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        return Frame.straight(
                part(argb, size, 16),
                part(argb, size, 8),
                part(argb, size, 0),
                part(argb, size, 24));
    }

    private static Plane part(int[] argb, Size size, int shift) {
        Plane plane = Plane.of(size.width(), size.height());
        for (int i = 0; i < argb.length; i++) {
            plane.data()[i] = Depth.INT8.toFloat(argb[i] >> shift & 0xff);
        }
        return plane;
    }
}
