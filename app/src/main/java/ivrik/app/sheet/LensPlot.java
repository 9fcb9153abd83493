package ivrik.app.sheet;

import ivrik.app.control.Drawing;
import ivrik.app.theme.Palette;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.measure.LensMatch.Point;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * How far red and blue lie outside green, from the middle of a picture to its corner: what was measured, the
 * surer the clearer, the curve through it, and the band in which the curve lies 19 times in 20.
 */
final class LensPlot extends Drawing {
    private static final double LEFT = 52;
    private static final double SIDE = 14;
    private static final double FOOT = 24;
    private static final double DOT = 1.8;

    /** Standard deviations to either side. */
    private static final double BAND = 2;

    /** A block of this standard deviation, in pixels, is drawn half as clear as the surest. */
    private static final double HALF_SURE_PX = 0.15;

    private final Map<LaneKind, Fit> fits = new LinkedHashMap<>();

    LensPlot(ObjectProperty<Palette> palette) {
        super(palette);
        setId("lens-plot");
        setPrefSize(600, 280);
        setMinSize(300, 160);
        setAccessibleText("How far red and blue lie outside green, from the middle to the corner");
    }

    void show(Fit red, Fit blue) {
        List<LaneKind> lanes = new Rgb().lanes();
        fits.put(lanes.getFirst(), red);
        fits.put(lanes.getLast(), blue);
        redraw();
    }

    /** How far the plot goes up and down, in pixels of the picture. */
    private double most() {
        double most = 0.5;
        for (Fit fit : fits.values()) {
            for (Point p : fit.curve()) {
                most = Math.max(most, Math.abs(p.outPx()) + BAND * p.surePx());
            }
        }
        return most * 1.25;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        g.setFill(p.colour("ground"));
        g.fillRect(0, 0, w, h);
        double most = most();
        double middle = Math.rint((h - FOOT) / 2) + 0.5;
        double perPx = ((h - FOOT) / 2 - 8) / most;
        double width = w - LEFT - SIDE;
        scale(g, p, w, h, middle, perPx, most);
        fits.forEach((lane, fit) -> points(g, p.ink(lane), fit, middle, perPx, width, h));
        fits.forEach((lane, fit) -> curve(g, p.ink(lane), fit, middle, perPx, width));
    }

    private static void scale(
            GraphicsContext g,
            Palette p,
            double w,
            double h,
            double middle,
            double perPx,
            double most) {
        double step = step(most);
        g.setLineWidth(1);
        g.setFont(p.numbers(11));
        for (double px = -Math.floor(most / step) * step; px <= most; px += step) {
            double y = Math.rint(middle - px * perPx) + 0.5;
            boolean none = Math.abs(px) < step / 2;
            g.setStroke(p.colour(none ? "quiet" : "line"));
            g.strokeLine(LEFT, y, w - SIDE, y);
            g.setFill(p.colour("quiet"));
            String number = String.format(java.util.Locale.ROOT, "%+.1f", none ? 0.0 : px);
            g.fillText(none ? "0 px" : number, 8, y + 4);
        }
        g.setFill(p.colour("quiet"));
        g.setFont(p.words(11));
        g.fillText("middle", LEFT, h - 7);
        g.fillText("corner", w - SIDE - 36, h - 7);
    }

    /** From line to line: 1, 2 or 5 of some power of ten, such that there are few. */
    private static double step(double most) {
        double power = Math.pow(10, Math.floor(Math.log10(most / 2)));
        double times = most / 2 / power;
        return power * (times >= 5 ? 5 : times >= 2 ? 2 : 1);
    }

    private void points(
            GraphicsContext g,
            Color ink,
            Fit fit,
            double middle,
            double perPx,
            double width,
            double h) {
        for (Point point : fit.points()) {
            double y = middle - point.outPx() * perPx;
            if (y > 0 && y < h - FOOT) {
                double clear = HALF_SURE_PX / (HALF_SURE_PX + point.surePx());
                g.setFill(ink.deriveColor(0, 1, 1, clear));
                g.fillOval(LEFT + point.r() * width - DOT, y - DOT, 2 * DOT, 2 * DOT);
            }
        }
    }

    private void curve(
            GraphicsContext g, Color ink, Fit fit, double middle, double perPx, double width) {
        int n = fit.curve().size();
        double[] x = new double[2 * n];
        double[] y = new double[2 * n];
        for (int i = 0; i < n; i++) {
            Point point = fit.curve().get(i);
            x[i] = LEFT + point.r() * width;
            x[2 * n - 1 - i] = x[i];
            y[i] = middle - (point.outPx() + BAND * point.surePx()) * perPx;
            y[2 * n - 1 - i] = middle - (point.outPx() - BAND * point.surePx()) * perPx;
        }
        g.setFill(ink.deriveColor(0, 1, 1, 0.3));
        g.fillPolygon(x, y, 2 * n);
        g.setStroke(ink);
        g.setLineWidth(1.6);
        g.beginPath();
        for (Point point : fit.curve()) {
            g.lineTo(LEFT + point.r() * width, middle - point.outPx() * perPx);
        }
        g.stroke();
    }
}
