package ivrik.media.vector;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.DocumentLimits;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.media.UnreadableMediaException;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** An SVG document. */
public final class VectorGraphic {
    private static final Logger LOG = LoggerFactory.getLogger(VectorGraphic.class);

    /** The library's logger; its stack traces are replaced by Ivrik's messages. */
    private static final java.util.logging.Logger JSVG =
            java.util.logging.Logger.getLogger("com.github.weisj.jsvg");

    /** Largest drawn size; documents may declare any size. */
    private static final double LARGEST = 4096;

    /** Limits beyond those checked before, with the library's default for nested references. */
    private static final DocumentLimits LIMITS =
            new DocumentLimits(
                    SvgReader.DEEPEST + 1,
                    DocumentLimits.DEFAULT_MAX_USE_NESTING_DEPTH,
                    2 * SvgWeight.MAX_ELEMENTS);

    private final SVGDocument document;
    private final Size size;
    private final boolean reduced;

    private VectorGraphic(SVGDocument document, double width, double height) {
        this.document = document;
        double scale = Math.min(1, LARGEST / Math.max(width, height));
        this.size =
                new Size(
                        (int) Math.max(1, Math.ceil(width * scale)),
                        (int) Math.max(1, Math.ceil(height * scale)));
        this.reduced = scale < 1;
    }

    /**
     * Opens a document; linked pictures in its folder are shown.
     *
     * @throws UnreadableMediaException if it is not a readable SVG
     */
    public static VectorGraphic open(Path path) {
        JSVG.setLevel(java.util.logging.Level.OFF);
        SvgWeight.check(path);
        SVGDocument document = null;
        Exception cause = null;
        try (InputStream in = Files.newInputStream(path)) {
            LoaderContext context =
                    LoaderContext.builder()
                            .cssParser(new ScreenCss())
                            .externalResourcePolicy(new LocalResources(path))
                            .documentLimits(LIMITS)
                            .build();
            document = new SVGLoader().load(in, path.toUri(), context);
        } catch (IOException | RuntimeException | StackOverflowError e) {
            LOG.warn("{}", path, e);
            cause = e instanceof Exception known ? known : null;
        }
        if (document == null) {
            throw new UnreadableMediaException(
                    path + " cannot be read as an SVG graphic",
                    "check that it is an SVG file, or save it again",
                    cause);
        }
        FloatSize own = document.size();
        double[] said = SvgSize.of(path);
        return said == null
                ? new VectorGraphic(document, own.getWidth(), own.getHeight())
                : new VectorGraphic(document, said[0], said[1]);
    }

    /** Size in pixels, rounded up; from the view box if the document has only relative sizes. */
    public Size size() {
        return size;
    }

    /** Whether the declared size exceeds the largest drawn size. */
    public boolean isReduced() {
        return reduced;
    }

    /** The graphic drawn at a size; straight alpha, 8 bits. */
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
