package ivrik.app.sheet;

import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;
import ivrik.core.measure.LensMatch.Channels;
import ivrik.core.measure.LensMatch.Fit;
import ivrik.core.measure.LensMatch.Point;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;

import javafx.beans.property.ObjectProperty;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Outward shift of red and blue relative to green over the radius: measured blocks, more opaque the more
 * certain, the fitted curve, and its 95 % band.
 */
final class LensPlot extends Drawing {
    private static final double LEFT = 52;
    private static final double SIDE = 14;
    private static final double FOOT = 24;
    private static final double DOT = 1.8;

    /** Smallest range in picture pixels. */
    private static final double MIN_PX = 0.5;

    /** Standard deviations of the band to either side. */
    private static final double BAND = 2;

    /** Standard deviation in pixels at which a block has half opacity. */
    private static final double HALF_SURE_PX = 0.15;

    private final Map<ChannelKind, Fit> fits = new LinkedHashMap<>();

    LensPlot(ObjectProperty<Palette> palette) {
        super(palette);
        setId("lens-plot");
        setPrefSize(600, 280);
        setMinSize(300, 160);
        setAccessibleText("Displacement of red and blue from green, from centre to corner");
    }

    void show(Channels lens) {
        List<ChannelKind> channels = new Rgb().channels();
        fits.put(channels.getFirst(), lens.red());
        fits.put(channels.getLast(), lens.blue());
        redraw();
    }

    /**
     * Scale of the plot.
     *
     * @param most range in picture pixels
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
        double most = MIN_PX;
        for (Fit fit : fits.values()) {
            for (Point p : fit.curve()) {
                most = Math.max(most, Math.abs(p.outPx()) + BAND * p.surePx());
            }
        }
        return most * 1.25;
    }

    @Override
    protected void draw(GraphicsContext g, Palette p, double w, double h) {
        g.setFill(p.colour("background"));
        g.fillRect(0, 0, w, h);
        Room room = new Room(w, h, most());
        scale(g, p, room);
        fits.forEach((channel, fit) -> points(g, p.ink(channel), fit, room));
        fits.forEach((channel, fit) -> curve(g, p.ink(channel), fit, room));
    }

    private static void scale(GraphicsContext g, Palette p, Room room) {
        double step = step(room.most);
        g.setLineWidth(1);
        g.setFont(p.numberFont(11));
        for (double px = -Math.floor(room.most / step) * step; px <= room.most; px += step) {
            double y = Math.floor(room.y(px)) + 0.5;
            boolean none = Math.abs(px) < step / 2;
            g.setStroke(p.colour(none ? "quiet" : "line"));
            g.strokeLine(LEFT, y, room.right(), y);
            g.setFill(p.colour("quiet"));
            g.fillText(none ? "0 px" : String.format(Locale.ROOT, "%+.1f", px), 8, y + 4);
        }
        g.setFill(p.colour("quiet"));
        g.setFont(p.textFont(11));
        g.fillText("centre", LEFT, room.height - 7);
        g.fillText("corner", room.right() - 36, room.height - 7);
    }

    /** Distance of grid lines: 1, 2 or 5 times a power of ten. */
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
