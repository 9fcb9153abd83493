package ivrik.media.vector;

import ivrik.core.picture.Depth;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.project.Title;

import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.font.FontRenderContext;
import java.awt.font.TextAttribute;
import java.awt.font.TextLayout;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Draws text as outlines in one colour, with straight alpha. */
public final class TitleGraphic {
    private static final FontRenderContext PRECISE = new FontRenderContext(null, true, true);

    /** Line spacing relative to the font size. */
    private static final double LEADING = 1.15;

    /** Cap height relative to the font size; lines are centred by it. */
    private static final double CAPITALS = 0.7;

    private TitleGraphic() {}

    /**
     * Draws a title centred in a box.
     *
     * @param box size in which the title's lengths are given
     * @param shown size to draw at, of the same aspect ratio
     */
    public static Frame draw(Title title, Size box, Size shown) {
        BufferedImage image =
                new BufferedImage(shown.width(), shown.height(), BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.scale((double) shown.width() / box.width(), (double) shown.height() / box.height());
        g.setColor(java.awt.Color.WHITE);
        g.fill(outline(title, box));
        g.dispose();
        Plane coverage = Plane.of(shown.width(), shown.height());
        byte[] codes = ((DataBufferByte) image.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < codes.length; i++) {
            coverage.data()[i] = Depth.INT8.toFloat(codes[i] & 0xff);
        }
        Size s = shown;
        return Frame.straight(
                Plane.flat(s.width(), s.height(), title.colour().red()),
                Plane.flat(s.width(), s.height(), title.colour().green()),
                Plane.flat(s.width(), s.height(), title.colour().blue()),
                coverage);
    }

    private static Path2D outline(Title title, Size box) {
        Font font = ShippedFonts.of(title);
        List<Path2D> lines = new ArrayList<>();
        double widest = 0;
        for (String text : title.text().split("\n", -1)) {
            Path2D line = line(text, font);
            lines.add(line);
            widest = Math.max(widest, line.getBounds2D().getWidth());
        }
        double leading = title.sizePx() * LEADING;
        double first =
                box.height() / 2.0
                        - (lines.size() - 1) * leading / 2
                        + title.sizePx() * CAPITALS / 2;
        Path2D all = new Path2D.Double();
        for (int i = 0; i < lines.size(); i++) {
            Rectangle2D bounds = lines.get(i).getBounds2D();
            double spare = widest - bounds.getWidth();
            double left =
                    (box.width() - widest) / 2
                            + switch (title.align()) {
                                case LEFT -> 0;
                                case CENTRE -> spare / 2;
                                case RIGHT -> spare;
                            };
            all.append(
                    AffineTransform.getTranslateInstance(left - bounds.getX(), first + i * leading)
                            .createTransformedShape(lines.get(i)),
                    false);
        }
        return all;
    }

    private static Path2D line(String text, Font font) {
        return text.isBlank()
                ? new Path2D.Double()
                : new Path2D.Double(new TextLayout(text, font, PRECISE).getOutline(null));
    }

    /** Text attributes of a title. */
    static Map<TextAttribute, Object> attributes(Title title) {
        return Map.of(
                TextAttribute.SIZE,
                (float) title.sizePx(),
                TextAttribute.TRACKING,
                (float) (title.tracking() / 1000));
    }
}
