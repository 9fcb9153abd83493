package ivrik.app.sheet;

import ivrik.app.control.Drawing;
import ivrik.app.theme.Palette;
import ivrik.core.measure.LensMatch.Channels;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.measure.LensMatch.Point;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Rgb;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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

    /** It goes at least so far up and down, in pixels of the picture. */
    private static final double LEAST_PX = 0.5;

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

    void show(Channels lens) {
        List<LaneKind> lanes = new Rgb().lanes();
        fits.put(lanes.getFirst(), lens.red());
        fits.put(lanes.getLast(), lens.blue());
        redraw();
    }

    /**
     * Where things lie.
     *
     * @param most how far it goes up and down, in pixels of the picture
     */
    private record Room(double width, double height, double most) {
        double x(double r) {
            return LEFT + r * (right() - LEFT);
        }

        double y(double px) {
            double middle = Math.rint((height - FOOT) / 2) + 0.5;
            return middle - px * ((height - FOOT) / 2 - 8) / most;
        }

        double right() {
            return width - SIDE;
        }

        boolean holds(double y) {
            return y > 0 && y < height - FOOT;
        }
    }

    private double most() {
        double most = LEAST_PX;
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
        Room room = new Room(w, h, most());
        scale(g, p, room);
        fits.forEach((lane, fit) -> points(g, p.ink(lane), fit, room));
        fits.forEach((lane, fit) -> curve(g, p.ink(lane), fit, room));
    }

    private static void scale(GraphicsContext g, Palette p, Room room) {
        double step = step(room.most);
        g.setLineWidth(1);
        g.setFont(p.numbers(11));
        for (double px = -Math.floor(room.most / step) * step; px <= room.most; px += step) {
            double y = Math.floor(room.y(px)) + 0.5;
            boolean none = Math.abs(px) < step / 2;
            g.setStroke(p.colour(none ? "quiet" : "line"));
            g.strokeLine(LEFT, y, room.right(), y);
            g.setFill(p.colour("quiet"));
            g.fillText(none ? "0 px" : String.format(Locale.ROOT, "%+.1f", px), 8, y + 4);
        }
        g.setFill(p.colour("quiet"));
        g.setFont(p.words(11));
        g.fillText("middle", LEFT, room.height - 7);
        g.fillText("corner", room.right() - 36, room.height - 7);
    }

    /** From line to line: 1, 2 or 5 of some power of ten, such that there are few. */
    private static double step(double most) {
        double power = Math.pow(10, Math.floor(Math.log10(most / 2)));
        double times = most / 2 / power;
        return power * (times >= 5 ? 5 : times >= 2 ? 2 : 1);
    }

    private static void points(GraphicsContext g, Color ink, Fit fit, Room room) {
        for (Point point : fit.points()) {
            double y = room.y(point.outPx());
            if (room.holds(y)) {
                double clear = HALF_SURE_PX / (HALF_SURE_PX + point.surePx());
                g.setFill(ink.deriveColor(0, 1, 1, clear));
                g.fillOval(room.x(point.r()) - DOT, y - DOT, 2 * DOT, 2 * DOT);
            }
        }
    }

    private static void curve(GraphicsContext g, Color ink, Fit fit, Room room) {
        int n = fit.curve().size();
        double[] x = new double[2 * n];
        double[] y = new double[2 * n];
        for (int i = 0; i < n; i++) {
            Point point = fit.curve().get(i);
            int back = 2 * n - 1 - i;
            x[i] = room.x(point.r());
            x[back] = x[i];
            y[i] = room.y(point.outPx() + BAND * point.surePx());
            y[back] = room.y(point.outPx() - BAND * point.surePx());
        }
        g.setFill(ink.deriveColor(0, 1, 1, 0.3));
        g.fillPolygon(x, y, 2 * n);
        g.setStroke(ink);
        g.setLineWidth(1.6);
        g.beginPath();
        for (Point point : fit.curve()) {
            g.lineTo(room.x(point.r()), room.y(point.outPx()));
        }
        g.stroke();
    }
}
