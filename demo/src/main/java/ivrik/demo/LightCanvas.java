package ivrik.demo;

import ivrik.core.colour.Transfer;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;

import java.awt.Graphics2D;
import java.awt.Rectangle;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.function.DoubleBinaryOperator;

/**
 * A canvas of linear light: shapes cover it or add to it, and the result is developed like film.
 */
final class LightCanvas {
    final int width;
    final int height;

    /** Red, green and blue light; 1 is white, lamps are far above. */
    final float[][] rgb;

    LightCanvas(int width, int height) {
        this.width = width;
        this.height = height;
        this.rgb = new float[3][width * height];
    }

    LightCanvas copy() {
        LightCanvas copy = new LightCanvas(width, height);
        for (int c = 0; c < 3; c++) {
            System.arraycopy(rgb[c], 0, copy.rgb[c], 0, width * height);
        }
        return copy;
    }

    /** Light at a position. */
    interface Shade {
        double at(int channel, double x, double y);
    }

    static Shade flat(double... colour) {
        return (c, x, y) -> colour[c];
    }

    static double[] times(double[] colour, double by) {
        return new double[] {colour[0] * by, colour[1] * by, colour[2] * by};
    }

    void background(Shade shade) {
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                for (int c = 0; c < 3; c++) {
                    rgb[c][y * width + x] = (float) shade.at(c, x, y);
                }
            }
        }
    }

    /** Replaces the light below a shape. */
    void cover(Shape shape, Shade shade) {
        paint(shape, shade, true);
    }

    /** Adds light within a shape. */
    void add(Shape shape, Shade shade) {
        paint(shape, shade, false);
    }

    private void paint(Shape shape, Shade shade, boolean cover) {
        Rectangle box = shape.getBounds();
        box.grow(1, 1);
        box = box.intersection(new Rectangle(0, 0, width, height));
        if (box.isEmpty()) {
            return;
        }
        BufferedImage mask = new BufferedImage(box.width, box.height, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = mask.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.setTransform(AffineTransform.getTranslateInstance(-box.x, -box.y));
        g.fill(shape);
        g.dispose();
        byte[] share = ((DataBufferByte) mask.getRaster().getDataBuffer()).getData();
        for (int y = 0; y < box.height; y++) {
            for (int x = 0; x < box.width; x++) {
                float a = (share[y * box.width + x] & 0xff) / 255f;
                if (a > 0) {
                    int i = (box.y + y) * width + box.x + x;
                    for (int c = 0; c < 3; c++) {
                        float light = (float) shade.at(c, box.x + x + 0.5, box.y + y + 0.5);
                        rgb[c][i] =
                                cover ? rgb[c][i] + a * (light - rgb[c][i]) : rgb[c][i] + a * light;
                    }
                }
            }
        }
    }

    /** A Gaussian light of {@code sigma} pixels. */
    void glow(double cx, double cy, double sigma, double[] colour) {
        int reach = (int) Math.ceil(3.5 * sigma);
        spot(
                cx,
                cy,
                reach,
                colour,
                (dx, dy) -> Math.exp(-(dx * dx + dy * dy) / (2 * sigma * sigma)));
    }

    /** An out-of-focus light: a disc with a slightly brighter rim. */
    void disc(double cx, double cy, double radius, double[] colour) {
        int reach = (int) Math.ceil(radius) + 2;
        spot(
                cx,
                cy,
                reach,
                colour,
                (dx, dy) -> {
                    double d = Math.hypot(dx, dy);
                    double edge = Math.clamp((radius - d) / 2.5 + 0.5, 0, 1);
                    return edge * (0.75 + 0.5 * Math.pow(Math.min(1, d / radius), 6));
                });
    }

    /** Adds light around a position, weighted by {@code share} of the offset. */
    private void spot(
            double cx, double cy, int reach, double[] colour, DoubleBinaryOperator share) {
        for (int y = Math.max(0, (int) cy - reach);
                y < Math.min(height, (int) cy + reach + 1);
                y++) {
            for (int x = Math.max(0, (int) cx - reach);
                    x < Math.min(width, (int) cx + reach + 1);
                    x++) {
                double here = share.applyAsDouble(x + 0.5 - cx, y + 0.5 - cy);
                for (int c = 0; c < 3; c++) {
                    rgb[c][y * width + x] += (float) (here * colour[c]);
                }
            }
        }
    }

    /** Adds scattered light: the picture blurred by {@code sigma}, times a share. */
    void bloom(double sigma, double share) {
        for (int c = 0; c < 3; c++) {
            float[] spread = blurred(rgb[c], sigma);
            for (int i = 0; i < spread.length; i++) {
                rgb[c][i] += (float) (share * spread[i]);
            }
        }
    }

    void blur(double sigma) {
        for (int c = 0; c < 3; c++) {
            rgb[c] = blurred(rgb[c], sigma);
        }
    }

    private float[] blurred(float[] in, double sigma) {
        int radius = Math.max(1, (int) Math.round(sigma));
        float[] a = in.clone();
        float[] b = new float[in.length];
        for (int pass = 0; pass < 3; pass++) {
            for (int y = 0; y < height; y++) {
                box(a, b, y * width, 1, width, radius);
            }
            down(b, a, radius);
        }
        return a;
    }

    /** Mean of {@code 2 radius + 1} rows, whole rows at a time. */
    private void down(float[] in, float[] out, int radius) {
        double[] sum = new double[width];
        for (int k = -radius; k <= radius; k++) {
            addRow(in, Math.clamp(k, 0, height - 1), 1, sum);
        }
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                out[y * width + x] = (float) (sum[x] / (2 * radius + 1));
            }
            addRow(in, Math.min(height - 1, y + radius + 1), 1, sum);
            addRow(in, Math.max(0, y - radius), -1, sum);
        }
    }

    private void addRow(float[] in, int y, int sign, double[] sum) {
        for (int x = 0; x < width; x++) {
            sum[x] += sign * in[y * width + x];
        }
    }

    private static void box(float[] in, float[] out, int start, int step, int n, int radius) {
        double sum = 0;
        for (int k = -radius; k <= radius; k++) {
            sum += in[start + Math.clamp(k, 0, n - 1) * step];
        }
        for (int i = 0; i < n; i++) {
            out[start + i * step] = (float) (sum / (2 * radius + 1));
            sum +=
                    in[start + Math.min(n - 1, i + radius + 1) * step]
                            - in[start + Math.max(0, i - radius) * step];
        }
    }

    /** Converts the light to a frame: a film shoulder, then sRGB, with slight grain. */
    Frame develop(double exposure, long frame) {
        Plane[] planes = new Plane[3];
        for (int c = 0; c < 3; c++) {
            float[] samples = new float[width * height];
            for (int i = 0; i < samples.length; i++) {
                double v = exposure * rgb[c][i];
                double film = 1 - Math.exp(-v * (1 + 0.35 * v));
                double grain = ivrik.core.motion.Hash.signed(frame, i) * 0.006;
                samples[i] = (float) Math.clamp(Transfer.SRGB.fromLinear(film) + grain, 0, 1);
            }
            planes[c] = Plane.of(width, height, samples);
        }
        return Frame.opaque(planes[0], planes[1], planes[2]);
    }
}
