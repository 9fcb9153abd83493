package ivrik.demo;

import ivrik.core.motion.Hash;
import ivrik.core.picture.Frame;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;

/** Close paper lanterns sway before a dark bridge; the town's lights behind are out of focus. */
final class LanternScene implements Scene {
    private static final double[][] PAPER = {
        {1.0, 0.40, 0.09},
        {1.0, 0.66, 0.30},
        {1.0, 0.16, 0.14},
        {1.0, 0.50, 0.34},
        {0.95, 0.78, 0.50}
    };
    private static final int WATER = 520;

    /** Position, size and paper of a lantern. */
    private record Lantern(
            double x, double rope, double width, double height, int paper, double phase) {}

    private static final Lantern[] LANTERNS = {
        new Lantern(168, 216, 176, 226, 0, 0.4),
        new Lantern(392, 110, 124, 158, 4, 1.9),
        new Lantern(600, 268, 208, 264, 2, 3.1),
        new Lantern(838, 136, 140, 180, 1, 4.4),
        new Lantern(1078, 232, 190, 242, 3, 5.2),
    };

    private final LightCanvas town = town();

    @Override
    public Frame frame(int n) {
        double t = Scene.seconds(n);
        LightCanvas light = town.copy();
        farLights(light, t);
        for (Lantern lantern : LANTERNS) {
            hang(light, lantern, t);
        }
        light.bloom(4, 0.10);
        light.bloom(16, 0.06);
        light.bloom(60, 0.035);
        return light.develop(1.15, 1000 + n);
    }

    private static double random(long... key) {
        return 0.5 + 0.5 * Hash.signed(key);
    }

    private static LightCanvas town() {
        LightCanvas light = new LightCanvas(WIDTH, HEIGHT);
        light.background(
                (c, x, y) -> {
                    double dusk = Math.exp(-Math.pow((y - 470) / 210.0, 2));
                    return new double[] {0.004, 0.006, 0.016}[c]
                            + dusk * new double[] {0.020, 0.010, 0.026}[c];
                });
        light.cover(bridge(), LightCanvas.flat(0.0022, 0.0025, 0.0045));
        light.cover(
                new Rectangle2D.Double(0, WATER, WIDTH, HEIGHT - WATER),
                (c, x, y) -> {
                    double near = (y - WATER) / 200;
                    double band = 0.5 + 0.5 * Math.sin(0.35 * y + 3 * Math.sin(0.006 * x));
                    return new double[] {0.004, 0.005, 0.010}[c]
                            + 0.014
                                    * band
                                    * (1 - Math.min(1, near))
                                    * new double[] {1, 0.6, 1.1}[c];
                });
        light.blur(4);
        return light;
    }

    private static Shape bridge() {
        Path2D deck = new Path2D.Double();
        deck.moveTo(-20, 432);
        deck.quadTo(640, 352, 1300, 432);
        deck.lineTo(1300, WATER + 4);
        deck.lineTo(-20, WATER + 4);
        deck.closePath();
        Area stone = new Area(deck);
        for (int arch = 0; arch < 4; arch++) {
            stone.subtract(
                    new Area(
                            new Ellipse2D.Double(
                                    30 + arch * 318,
                                    446 - (arch == 1 || arch == 2 ? 14 : 0),
                                    266,
                                    190)));
        }
        for (int post = 0; post < 9; post++) {
            stone.add(
                    new Area(
                            new Rectangle2D.Double(
                                    46 + post * 148, 300 + Math.abs(post - 4) * 13, 7, 130)));
        }
        return stone;
    }

    /** Background lights as large soft discs, each with a broken reflection on the water. */
    private static void farLights(LightCanvas light, double t) {
        for (int i = 0; i < 46; i++) {
            double x = WIDTH * random(31, i) + 5 * Math.sin(0.5 * t + i);
            double y = 150 + 330 * random(32, i);
            double r = 9 + 24 * random(33, i);
            double[] colour = PAPER[(int) (5 * random(34, i))];
            if (random(35, i) > 0.72) {
                colour =
                        random(36, i) > 0.5
                                ? new double[] {0.1, 0.55, 0.9}
                                : new double[] {0.15, 0.75, 0.45};
            }
            double strength =
                    (0.05 + 0.13 * random(37, i)) * (0.85 + 0.15 * Math.sin(2 * t + 3 * i));
            light.disc(x, y, r, LightCanvas.times(colour, strength));
            double wave = 4 * Math.sin(1.3 * t + 0.7 * i);
            light.disc(
                    x + wave,
                    WATER + (WATER - y) * 0.35 + 24,
                    r * 0.8,
                    LightCanvas.times(colour, 0.35 * strength));
        }
        for (int post = 0; post < 9; post++) {
            double x = 50 + post * 148;
            double y = 298 + Math.abs(post - 4) * 13;
            light.disc(x, y, 13, new double[] {0.95, 0.72, 0.38});
            light.glow(x, y, 44, new double[] {0.09, 0.06, 0.03});
        }
    }

    private static void hang(LightCanvas light, Lantern l, double t) {
        double angle =
                0.055 * Math.sin(1.35 * t + l.phase) + 0.02 * Math.sin(2.9 * t + 2 * l.phase);
        AffineTransform swing = AffineTransform.getRotateInstance(angle, l.x, -60);
        double top = l.rope - 40;
        double cx = l.x;
        double cy = top + l.height / 2;
        fill(
                light,
                swing,
                new BasicStroke(2f).createStrokedShape(new Line2D.Double(cx, -60, cx, top)),
                LightCanvas.flat(0.01, 0.008, 0.008));
        double[] centre = {cx, cy};
        swing.transform(centre, 0, centre, 0, 1);
        double[] colour = PAPER[l.paper];
        double flame =
                1 + 0.06 * Math.sin(7 * t + l.phase) + 0.04 * Math.sin(11.3 * t + 2 * l.phase);
        light.glow(centre[0], centre[1], l.width * 0.85, LightCanvas.times(colour, 0.05));
        AffineTransform back;
        try {
            back = swing.createInverse();
        } catch (java.awt.geom.NoninvertibleTransformException e) {
            throw new IllegalStateException(e);
        }
        Shape body = new Ellipse2D.Double(cx - l.width / 2, top, l.width, l.height);
        fill(light, swing, body, (c, px, py) -> paper(l, colour[c], flame, back, px, py, cx, cy));
        for (double end : new double[] {top - 3, top + l.height - 11}) {
            fill(
                    light,
                    swing,
                    new Rectangle2D.Double(cx - l.width * 0.17, end, l.width * 0.34, 14),
                    LightCanvas.flat(0.012, 0.008, 0.006));
        }
        for (int thread = -2; thread <= 2; thread++) {
            fill(
                    light,
                    swing,
                    new BasicStroke(2.4f)
                            .createStrokedShape(
                                    new Line2D.Double(
                                            cx + thread * 5,
                                            top + l.height,
                                            cx + thread * 6 + 2 * Math.sin(2 * t + thread),
                                            top + l.height + 42)),
                    LightCanvas.flat(LightCanvas.times(colour, 0.07)));
        }
    }

    /** Light through paper: brightest near the flame, darker at the rim and along the ribs. */
    private static double paper(
            Lantern l,
            double tint,
            double flame,
            AffineTransform back,
            double px,
            double py,
            double cx,
            double cy) {
        double[] p = {px, py};
        back.transform(p, 0, p, 0, 1);
        double u = (p[0] - cx) / (l.width / 2);
        double v = (p[1] - cy) / (l.height / 2);
        double r2 = u * u + v * v;
        double thick = 0.32 + 0.68 * Math.sqrt(Math.max(0, 1 - r2));
        double core = Math.exp(-(u * u * 2.2 + (v - 0.12) * (v - 0.12) * 3));
        double rib =
                1
                        - 0.30
                                * Math.pow(
                                        Math.abs(
                                                Math.cos(
                                                        Math.PI
                                                                * 6.5
                                                                * Math.asin(Math.clamp(v, -1, 1))
                                                                / 1.5708)),
                                        14);
        double seam =
                1
                        - 0.12
                                * Math.pow(
                                        Math.abs(
                                                Math.cos(
                                                        3
                                                                * Math.asin(
                                                                        Math.clamp(
                                                                                u
                                                                                        / Math.sqrt(
                                                                                                Math
                                                                                                        .max(
                                                                                                                1e-3,
                                                                                                                1
                                                                                                                        - v
                                                                                                                                * v)),
                                                                                -1,
                                                                                1)))),
                                        20);
        double white = 0.3 * core * core;
        return rib * seam * flame * (thick * tint * (0.42 + 1.7 * core) + white);
    }

    private static void fill(
            LightCanvas light, AffineTransform swing, Shape shape, LightCanvas.Shade shade) {
        light.cover(swing.createTransformedShape(shape), shade);
    }
}
