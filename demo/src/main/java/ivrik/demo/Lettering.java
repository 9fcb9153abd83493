package ivrik.demo;

import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Shape;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;

/** Text as outlines, in the fonts that ship with Ivrik. */
final class Lettering {
    private static final Font BOLD = font("IBMPlexSansCondensed-Bold");
    private static final Font MEDIUM = font("IBMPlexSansCondensed-Medium");

    private Lettering() {}

    private static Font font(String name) {
        try (InputStream in =
                Lettering.class.getResourceAsStream("/ivrik/fonts/" + name + ".ttf")) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (FontFormatException e) {
            throw new IllegalStateException(e);
        }
    }

    /** For text without effects. */
    static Font plain(float size) {
        return MEDIUM.deriveFont(size);
    }

    static Shape bold(String text, double size, double tracking, double centreX, double baseline) {
        return outline(BOLD, text, size, tracking, centreX, baseline);
    }

    static Shape medium(
            String text, double size, double tracking, double centreX, double baseline) {
        return outline(MEDIUM, text, size, tracking, centreX, baseline);
    }

    private static Shape outline(
            Font font, String text, double size, double tracking, double centreX, double baseline) {
        Font sized =
                font.deriveFont((float) size)
                        .deriveFont(Map.of(TextAttribute.TRACKING, (float) tracking));
        Shape shape =
                sized.createGlyphVector(new FontRenderContext(null, true, true), text).getOutline();
        if (tracking != 0) {
            shape =
                    new java.awt.font.TextLayout(
                                    text, sized, new FontRenderContext(null, true, true))
                            .getOutline(null);
        }
        Rectangle2D box = shape.getBounds2D();
        return AffineTransform.getTranslateInstance(centreX - box.getCenterX(), baseline)
                .createTransformedShape(shape);
    }
}
