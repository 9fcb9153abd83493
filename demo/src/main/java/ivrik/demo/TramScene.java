package ivrik.demo;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Frame;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.QuadCurve2D;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;

/** A lit tram crosses a wet street of neon shop fronts at night. */
final class TramScene implements Scene {
    /** Upper edge of the pavement, and of the street. */
    private static final int PAVEMENT = 492;

    private static final int STREET = 518;
    private static final double[] WARM = {1.0, 0.56, 0.2};
    private static final double[] CREAM = {1.0, 0.8, 0.52};
    private static final double[] ROSE = {1.0, 0.1, 0.22};
    private static final double[] TEAL = {0.05, 0.75, 0.9};
    private static final double[] LEAF = {0.1, 0.95, 0.3};
    private static final double[] VIOLET = {0.5, 0.18, 1.0};
    private static final double[] AMBER = {1.0, 0.45, 0.06};

    private final LightCanvas town = town();

    @Override
    public Frame frame(int n) {
        double t = Scene.seconds(n);
        LightCanvas light = town.copy();
        signs(light, t);
        bulbs(light, t);
        tram(light, -330 + 880 * ease(t / 4.4), t);
        wetStreet(light, t);
        light.bloom(3, 0.16);
        light.bloom(11, 0.10);
        light.bloom(40, 0.07);
        return light.develop(1.25, n);
    }

    private static double ease(double t) {
        return t < 1 ? t + 0.12 * Math.sin(Math.PI * t) : 1;
    }

    private static double random(long... key) {
        return 0.5 + 0.5 * Hash.signed(key);
    }

    /** Static parts: sky, distant houses, shop fronts. */
    private static LightCanvas town() {
        LightCanvas light = new LightCanvas(WIDTH, HEIGHT);
        light.background(
                (c, x, y) -> {
                    double low = Math.exp(-(PAVEMENT - y) / 190.0);
                    return new double[] {0.0035, 0.0055, 0.014}[c]
                            + low * new double[] {0.03, 0.017, 0.026}[c];
                });
        double x = -20;
        for (int house = 0; x < WIDTH; house++) {
            double w = 70 + 90 * random(1, house);
            double top = 70 + 190 * random(2, house);
            light.cover(
                    new Rectangle2D.Double(x, top, w, PAVEMENT - top),
                    LightCanvas.flat(0.004, 0.0045, 0.008));
            for (double wy = top + 18; wy < 300; wy += 26) {
                for (double wx = x + 12; wx < x + w - 16; wx += 22) {
                    double lit = random(3, house, (long) wx, (long) wy);
                    if (lit > 0.72) {
                        double[] colour = random(4, (long) wx, (long) wy) > 0.3 ? WARM : TEAL;
                        light.cover(
                                new Rectangle2D.Double(wx, wy, 10, 14),
                                LightCanvas.flat(
                                        LightCanvas.times(colour, 0.05 + 0.22 * (lit - 0.72))));
                    }
                }
            }
            x += w + 3;
        }
        for (int shop = 0; shop < 6; shop++) {
            shopFront(light, shop, shop * 214 - 4, 206);
        }
        light.cover(
                new Rectangle2D.Double(0, PAVEMENT, WIDTH, STREET - PAVEMENT),
                (c, px, py) ->
                        new double[] {0.012, 0.010, 0.013}[c]
                                * (1 + 0.5 * random(9, (long) px / 46)));
        return light;
    }

    private static void shopFront(LightCanvas light, int shop, double x, double w) {
        light.cover(
                new Rectangle2D.Double(x, 232, w, PAVEMENT - 232),
                LightCanvas.flat(0.009, 0.0075, 0.010));
        light.cover(new Rectangle2D.Double(x, 228, w, 6), LightCanvas.flat(0.02, 0.018, 0.02));
        double[] inside = shop % 3 == 1 ? new double[] {0.55, 0.7, 0.75} : WARM;
        double cx = x + w / 2;
        light.cover(
                new Rectangle2D.Double(x + 12, 352, w - 74, PAVEMENT - 372),
                (c, px, py) -> {
                    double fall =
                            Math.exp(-Math.pow((px - cx + 30) / 70, 2))
                                    * Math.exp(-(py - 352) / 130);
                    return inside[c] * (0.05 + 0.5 * fall);
                });
        light.cover(
                new Rectangle2D.Double(x + w - 52, 352, 40, PAVEMENT - 352),
                (c, px, py) -> inside[c] * 0.14 * Math.exp(-(py - 352) / 90));
        for (int item = 0; item < 9; item++) {
            double h = 12 + 34 * random(5, shop, item);
            light.cover(
                    new Rectangle2D.Double(x + 18 + item * 14, PAVEMENT - 20 - h, 8, h),
                    LightCanvas.flat(
                            LightCanvas.times(inside, 0.02 + 0.05 * random(6, shop, item))));
        }
        for (int bar = 0; bar < 4; bar++) {
            light.cover(
                    new Rectangle2D.Double(x + 12 + bar * (w - 74) / 3 - 1, 352, 2, PAVEMENT - 372),
                    LightCanvas.flat(0.01, 0.009, 0.01));
        }
        Path2D awning = new Path2D.Double();
        awning.moveTo(x + 6, 326);
        awning.lineTo(x + w - 6, 326);
        awning.lineTo(x + w + 2, 354);
        awning.lineTo(x - 2, 354);
        awning.closePath();
        double[] cloth =
                shop % 2 == 0
                        ? new double[] {0.055, 0.008, 0.012}
                        : new double[] {0.008, 0.025, 0.04};
        light.cover(
                awning, (c, px, py) -> cloth[c] * (((int) ((px - x) / 15)) % 2 == 0 ? 1 : 0.35));
    }

    private static void signs(LightCanvas light, double t) {
        neon(light, Lettering.bold("MOTH & LAMP", 34, 0.04, 104, 298), ROSE, 1);
        neon(light, Lettering.bold("TEA", 58, 0.1, 316, 304), LEAF, 0.9 + 0.1 * flicker(t, 2));
        neon(light, new RoundRectangle2D.Double(246, 248, 140, 66, 20, 20), LEAF, 0.5);
        neon(light, Lettering.bold("NOODLES", 40, 0.06, 532, 300), AMBER, 1);
        neon(light, Lettering.bold("INK", 60, 0.12, 746, 306), TEAL, flicker(t, 5));
        neon(light, new Ellipse2D.Double(676, 242, 140, 78), VIOLET, 0.8);
        neon(light, Lettering.bold("PAPER MOON", 34, 0.03, 958, 298), VIOLET, 1);
        neon(light, new Ellipse2D.Double(1036, 172, 56, 56), CREAM, 0.9);
        neon(
                light,
                Lettering.bold("OPEN LATE", 38, 0.04, 1176, 300),
                ROSE,
                0.85 + 0.15 * flicker(t, 9));
    }

    private static double flicker(double t, int sign) {
        return random(7, sign, (long) Math.floor(t * 11)) > 0.86 ? 0.25 : 1;
    }

    /** A neon tube: a hot core within a coloured glow. */
    private static void neon(LightCanvas light, Shape shape, double[] colour, double strength) {
        Shape tube =
                new BasicStroke(3.6f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
                        .createStrokedShape(shape);
        Shape core =
                new BasicStroke(1.5f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND)
                        .createStrokedShape(shape);
        var box = shape.getBounds2D();
        light.glow(
                box.getCenterX(),
                box.getCenterY(),
                box.getWidth() * 0.36,
                LightCanvas.times(colour, 0.11 * strength));
        light.add(tube, LightCanvas.flat(LightCanvas.times(colour, 2.3 * strength)));
        light.add(
                core, LightCanvas.flat(LightCanvas.times(new double[] {1.5, 1.4, 1.5}, strength)));
    }

    /** Strings of small bulbs across the street: small, bright highlights. */
    private static void bulbs(LightCanvas light, double t) {
        for (int string = 0; string < 3; string++) {
            double left = 16 + 52 * string;
            double right = 44 + 46 * string;
            double sag = 70 + 14 * string;
            light.cover(
                    new BasicStroke(1.1f)
                            .createStrokedShape(
                                    new QuadCurve2D.Double(
                                            -20,
                                            left,
                                            640,
                                            (left + right) / 2 + 2 * sag,
                                            1300,
                                            right)),
                    LightCanvas.flat(0.012, 0.012, 0.014));
            int count = 27 - 3 * string;
            for (int i = 0; i <= count; i++) {
                double s = (double) i / count;
                double x = -20 + 1320 * s + 3 * Math.sin(1.7 * t + 0.8 * i + string);
                double y =
                        (1 - s) * (1 - s) * left
                                + 2 * s * (1 - s) * ((left + right) / 2 + 2 * sag)
                                + s * s * right
                                + 7
                                + 2 * Math.sin(2.1 * t + i);
                double[] colour =
                        switch (Math.floorMod(i + string, 5)) {
                            case 1 -> ROSE;
                            case 3 -> TEAL;
                            default -> CREAM;
                        };
                double r = 3.4 + 0.5 * string;
                light.add(
                        new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r),
                        LightCanvas.flat(LightCanvas.times(colour, 5.5)));
                light.glow(x, y, 15, LightCanvas.times(colour, 0.16));
            }
        }
    }

    private static void tram(LightCanvas light, double x, double t) {
        double top = 298;
        double w = 640;
        double sway = 0.8 * Math.sin(5 * t);
        double y = top + sway;
        wire(light, x + 330, y);
        light.cover(
                new RoundRectangle2D.Double(x, y, w, 206, 46, 46),
                (c, px, py) -> {
                    double sheen = 0.5 + 0.7 * Math.exp(-Math.pow((py - y - 26) / 22, 2));
                    return new double[] {0.20, 0.016, 0.022}[c] * sheen;
                });
        light.cover(
                new Rectangle2D.Double(x + 2, y + 122, w - 4, 14),
                LightCanvas.flat(0.42, 0.33, 0.2));
        light.cover(
                new Rectangle2D.Double(x + 10, y + 194, w - 20, 22),
                LightCanvas.flat(0.01, 0.009, 0.01));
        for (int i = 0; i < 7; i++) {
            double wx = x + 26 + i * 79;
            boolean door = i == 2 || i == 5;
            Shape glass = new RoundRectangle2D.Double(wx, y + 30, 68, door ? 158 : 86, 12, 12);
            light.cover(
                    glass,
                    (c, px, py) -> {
                        double lamp = Math.exp(-Math.pow((py - y - 34) / 40, 2));
                        return CREAM[c] * (0.42 + 1.15 * lamp);
                    });
            if (!door) {
                passenger(light, wx + 18 + 26 * random(11, i), y + 116, random(12, i));
            } else {
                light.cover(
                        new Rectangle2D.Double(wx + 33, y + 30, 3, 158),
                        LightCanvas.flat(0.05, 0.01, 0.01));
            }
        }
        Shape board = new RoundRectangle2D.Double(x + 210, y + 6, 220, 22, 6, 6);
        light.cover(board, LightCanvas.flat(0.006, 0.005, 0.004));
        light.add(
                Lettering.bold("7  LANTERN BRIDGE", 17, 0.08, x + 320, y + 23),
                LightCanvas.flat(LightCanvas.times(AMBER, 2.6)));
        lamp(light, x + w - 14, y + 156, new double[] {1.0, 0.9, 0.7}, 14);
        lamp(light, x + 12, y + 160, ROSE, 5);
        for (double wheel : new double[] {110, 190, 460, 540}) {
            light.cover(
                    new Ellipse2D.Double(x + wheel - 20, y + 184, 40, 40),
                    LightCanvas.flat(0.006, 0.006, 0.007));
        }
    }

    private static void wire(LightCanvas light, double x, double y) {
        Shape line =
                new BasicStroke(1.6f)
                        .createStrokedShape(new Line2D.Double(-10, 258, WIDTH + 10, 246));
        light.cover(line, LightCanvas.flat(0.02, 0.02, 0.024));
        Path2D arm = new Path2D.Double();
        arm.moveTo(x - 26, y + 2);
        arm.lineTo(x + 22, y - 26);
        arm.lineTo(x - 4, y - 54);
        light.cover(
                new BasicStroke(3f).createStrokedShape(arm), LightCanvas.flat(0.014, 0.014, 0.016));
        light.add(new Ellipse2D.Double(x - 8, y - 58, 8, 8), LightCanvas.flat(5, 6, 9));
        light.glow(x - 4, y - 54, 18, new double[] {0.15, 0.2, 0.4});
    }

    private static void passenger(LightCanvas light, double x, double feet, double kind) {
        double h = 34 + 18 * kind;
        light.cover(new Ellipse2D.Double(x, feet - h, 17, 20), LightCanvas.flat(0.05, 0.03, 0.02));
        light.cover(
                new RoundRectangle2D.Double(x - 9, feet - h + 18, 36, h, 18, 18),
                LightCanvas.flat(0.035, 0.022, 0.02));
    }

    private static void lamp(
            LightCanvas light, double x, double y, double[] colour, double strength) {
        light.add(
                new Ellipse2D.Double(x - 8, y - 8, 16, 16),
                LightCanvas.flat(LightCanvas.times(colour, strength)));
        light.glow(x, y, 30, LightCanvas.times(colour, 0.03 * strength));
    }

    /** Reflections on the wet street, stretched downwards and broken by ripples. */
    private static void wetStreet(LightCanvas light, double t) {
        LightCanvas mirror = new LightCanvas(WIDTH, HEIGHT);
        for (int y = STREET; y < HEIGHT; y++) {
            double depth = (y - STREET) / (double) (HEIGHT - STREET);
            for (int x = 0; x < WIDTH; x++) {
                double ripple =
                        Math.sin(0.16 * y + 1.6 * t + 0.013 * x)
                                + 0.7 * Math.sin(0.41 * y - 2.2 * t + 0.05 * x);
                double sx = Math.clamp(x + ripple * (1.2 + 7 * depth), 0, WIDTH - 1.001);
                int sy = (int) Math.clamp(STREET - 2 - (y - STREET) * 1.75, 0, STREET - 1);
                double wet =
                        0.34
                                + 0.3
                                        * Math.sin(0.021 * x + 0.06 * y)
                                        * Math.sin(0.033 * y - 0.008 * x + 2);
                double share = Math.max(0.05, wet) * (1 - 0.45 * depth);
                int at = sy * WIDTH + (int) sx;
                float f = (float) (sx - Math.floor(sx));
                for (int c = 0; c < 3; c++) {
                    float v = light.rgb[c][at] + f * (light.rgb[c][at + 1] - light.rgb[c][at]);
                    mirror.rgb[c][y * WIDTH + x] = (float) (Math.min(v, 3) * share);
                }
            }
        }
        for (int c = 0; c < 3; c++) {
            for (int x = 0; x < WIDTH; x++) {
                float held = 0;
                for (int y = STREET; y < HEIGHT; y++) {
                    float keep = 0.72f + 0.16f * (y - STREET) / (HEIGHT - STREET);
                    held = keep * held + (1 - keep) * mirror.rgb[c][y * WIDTH + x];
                    light.rgb[c][y * WIDTH + x] = held + new float[] {0.0035f, 0.004f, 0.006f}[c];
                }
            }
        }
        light.cover(
                new Rectangle2D.Double(0, STREET, WIDTH, 3), LightCanvas.flat(0.014, 0.013, 0.016));
        for (double rail : new double[] {528, 552}) {
            Shape track =
                    new BasicStroke(2.2f)
                            .createStrokedShape(new Line2D.Double(0, rail, WIDTH, rail + 3));
            light.add(
                    track,
                    (c, x, y) ->
                            0.6
                                            * light.rgb[c][
                                                    (int) Math.min(HEIGHT - 1, y + 4) * WIDTH
                                                            + (int) Math.min(x, WIDTH - 1)]
                                    + 0.01);
        }
        for (int i = 0; i < 130; i++) {
            double x = WIDTH * random(21, i);
            double y = STREET + 12 + (HEIGHT - STREET - 16) * random(22, i);
            double on = Math.max(0, Math.sin(2.4 * t + 6.28 * random(23, i)));
            int at = (int) y * WIDTH + (int) x;
            double[] here = {light.rgb[0][at], light.rgb[1][at], light.rgb[2][at]};
            light.add(
                    new Ellipse2D.Double(x - 1.6, y - 0.8, 3.4, 1.7),
                    LightCanvas.flat(LightCanvas.times(here, 9 * on)));
        }
    }
}
