package ivrik.demo;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Locale;

/** The title as a vector graphic, and the registration chart as a picture. */
final class Graphics {
    private static final Color[] BARS = {
        Color.WHITE,
        Color.YELLOW,
        Color.CYAN,
        Color.GREEN,
        Color.MAGENTA,
        Color.RED,
        Color.BLUE,
        Color.BLACK
    };

    private Graphics() {}

    /** LANTERN WEEK over QUILLHAVEN, white on transparent. */
    static String title() {
        return """
        <svg xmlns="http://www.w3.org/2000/svg" width="1280" height="720" viewBox="0 0 1280 720">
          <g fill="#ffffff">
            <path d="%s"/>
            <path d="%s"/>
            <rect x="226" y="634" width="186" height="2"/>
            <rect x="868" y="634" width="186" height="2"/>
          </g>
        </svg>
        """
                .formatted(
                        path(Lettering.bold("LANTERN WEEK", 112, 0.05, 640, 604)),
                        path(Lettering.medium("QUILLHAVEN, SEVEN NIGHTS", 25, 0.18, 640, 644)));
    }

    private static String path(Shape shape) {
        StringBuilder d = new StringBuilder();
        double[] p = new double[6];
        for (PathIterator i = shape.getPathIterator(null); !i.isDone(); i.next()) {
            int kind = i.currentSegment(p);
            d.append("MLQCZ".charAt(kind));
            int numbers = new int[] {2, 2, 4, 6, 0}[kind];
            for (int k = 0; k < numbers; k++) {
                d.append(k == 0 ? "" : " ").append(String.format(Locale.ROOT, "%.2f", p[k]));
            }
        }
        return d.toString();
    }

    /** Fine lines, wedges, colour bars and a star, to check registration and moire. */
    static BufferedImage chart() {
        BufferedImage chart =
                new BufferedImage(Scene.WIDTH, Scene.HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = chart.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.setColor(new Color(0xf2f0ea));
        g.fillRect(0, 0, Scene.WIDTH, Scene.HEIGHT);
        for (int i = 0; i < BARS.length; i++) {
            g.setColor(BARS[i]);
            g.fillRect(40 + i * 150, 40, 150, 90);
        }
        for (int i = 0; i < 24; i++) {
            int grey = Math.round(255f * i / 23);
            g.setColor(new Color(grey, grey, grey));
            g.fillRect(40 + i * 50, 140, 50, 40);
        }
        g.setColor(Color.BLACK);
        int x = 40;
        for (int pitch : new int[] {2, 3, 4, 6, 8, 12, 16}) {
            for (int k = 0; k < 132; k += pitch) {
                g.fillRect(x + k, 210, Math.max(1, pitch / 2), 100);
                g.fillRect(x, 330 + k * 100 / 132, 132, Math.max(1, pitch / 2));
            }
            x += 172;
        }
        star(g, 330, 580, 110);
        wedges(g, 500, 470, 440, 220);
        cross(g, 1100, 580, 90);
        for (int[] corner : new int[][] {{20, 20}, {1260, 20}, {20, 700}, {1260, 700}}) {
            cross(g, corner[0], corner[1], 14);
        }
        g.dispose();
        return chart;
    }

    private static void star(Graphics2D g, double cx, double cy, double r) {
        for (int i = 0; i < 36; i++) {
            double a = Math.PI * 2 * i / 36;
            double b = a + Math.PI / 36;
            Path2D ray = new Path2D.Double();
            ray.moveTo(cx, cy);
            ray.lineTo(cx + r * Math.cos(a), cy + r * Math.sin(a));
            ray.lineTo(cx + r * Math.cos(b), cy + r * Math.sin(b));
            ray.closePath();
            g.fill(ray);
        }
    }

    private static void wedges(Graphics2D g, double x, double y, double w, double h) {
        for (int i = 0; i < 17; i++) {
            Path2D line = new Path2D.Double();
            double narrow = x + w / 2 + (i - 8) * 5;
            double wide = x + (i + 0.5) * w / 17;
            line.moveTo(narrow - 1.2, y);
            line.lineTo(narrow + 1.2, y);
            line.lineTo(wide + w / 68, y + h);
            line.lineTo(wide - w / 68, y + h);
            line.closePath();
            g.fill(line);
        }
    }

    private static void cross(Graphics2D g, double cx, double cy, double r) {
        g.fill(new Rectangle2D.Double(cx - r, cy - 0.5, 2 * r, 1));
        g.fill(new Rectangle2D.Double(cx - 0.5, cy - r, 1, 2 * r));
        g.draw(new java.awt.geom.Ellipse2D.Double(cx - r * 0.6, cy - r * 0.6, r * 1.2, r * 1.2));
        g.draw(new java.awt.geom.Ellipse2D.Double(cx - r * 0.3, cy - r * 0.3, r * 0.6, r * 0.6));
    }
}
