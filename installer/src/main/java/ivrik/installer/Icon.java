package ivrik.installer;

import java.awt.AlphaComposite;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

import javax.imageio.ImageIO;

/**
 * The icon: three registration marks, red, green and blue, slightly misregistered. Drawn at any size, and
 * as system icon files, which are small containers around PNG.
 */
final class Icon {
    static final int SIZE = 512;

    /** Largest size in an ICO file. */
    private static final int ICO_SIZE = 256;

    private static final Color BACKGROUND = new Color(0x1c, 0x1b, 0x1b);

    /** The marks add like light: where all three overlap they are white. */
    private static final Color[] MARKS = {Color.RED, Color.GREEN, Color.BLUE};

    /** Centre of each mark relative to the icon, in shares of its size. */
    private static final double[][] PLACES = {{-0.03, -0.017}, {0, 0.035}, {0.03, -0.017}};

    private static final double RADIUS = 0.21;
    private static final double ARM = 0.35;
    private static final double STROKE = 0.07;
    private static final double CORNER = 0.22;

    private Icon() {}

    static BufferedImage draw(int size) {
        BufferedImage marks = new BufferedImage(size, size, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < MARKS.length; i++) {
            add(marks, mark(size, MARKS[i], PLACES[i]));
        }
        BufferedImage icon = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = smooth(icon);
        double round = CORNER * size;
        g.fill(new RoundRectangle2D.Double(0, 0, size, size, round, round));
        g.setComposite(AlphaComposite.SrcIn);
        g.drawImage(marks, 0, 0, null);
        g.dispose();
        return icon;
    }

    private static BufferedImage mark(int size, Color colour, double[] place) {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = smooth(image);
        double x = size * (0.5 + place[0]);
        double y = size * (0.5 + place[1]);
        double r = size * RADIUS;
        double arm = size * ARM;
        g.setColor(colour);
        g.setStroke(
                new BasicStroke(
                        (float) (size * STROKE), BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND));
        g.draw(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
        g.draw(new Line2D.Double(x - arm, y, x + arm, y));
        g.draw(new Line2D.Double(x, y - arm, x, y + arm));
        g.dispose();
        return image;
    }

    private static Graphics2D smooth(BufferedImage image) {
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        return g;
    }

    /** Adds light; no pixel gets darker than the background. */
    private static void add(BufferedImage to, BufferedImage light) {
        for (int y = 0; y < to.getHeight(); y++) {
            for (int x = 0; x < to.getWidth(); x++) {
                to.setRGB(x, y, to.getRGB(x, y) | light.getRGB(x, y) | BACKGROUND.getRGB());
            }
        }
    }

    static byte[] png(int size) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(draw(size), "png", out);
        return out.toByteArray();
    }

    /** For Windows: a directory with one picture. */
    static byte[] ico() throws IOException {
        byte[] png = png(ICO_SIZE);
        ByteBuffer out = ByteBuffer.allocate(22 + png.length).order(ByteOrder.LITTLE_ENDIAN);
        out.putShort((short) 0).putShort((short) 1).putShort((short) 1);
        out.put((byte) 0).put((byte) 0).put((byte) 0).put((byte) 0); // 0 stands for 256
        out.putShort((short) 1).putShort((short) 32).putInt(png.length).putInt(22);
        return out.put(png).array();
    }

    /** For macOS: type {@code ic09} is a PNG of 512 pixels. */
    static byte[] icns() throws IOException {
        byte[] png = png(SIZE);
        ByteBuffer out = ByteBuffer.allocate(16 + png.length);
        out.put("icns".getBytes(StandardCharsets.US_ASCII)).putInt(16 + png.length);
        out.put("ic09".getBytes(StandardCharsets.US_ASCII)).putInt(8 + png.length);
        return out.put(png).array();
    }
}
