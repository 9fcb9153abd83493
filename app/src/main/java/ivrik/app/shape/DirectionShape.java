package ivrik.app.shape;

import ivrik.core.treatment.Settings;
import ivrik.core.treatment.Treatment;

import javafx.scene.canvas.GraphicsContext;

/** A direction and a length. */
final class DirectionShape extends RulerShape {
    /** A line in the direction. */
    @Override
    void art(GraphicsContext g, double x, double y, double r, Treatment t, Settings s) {
        double length = s.number("length");
        double half = length == 0 ? 0 : r * (0.3 + 1.1 * (1 - Math.exp(-length / 40)));
        double a = Math.toRadians(s.number("angle"));
        double dx = Math.cos(a) * half;
        double dy = Math.sin(a) * Math.min(half, r);
        g.strokeLine(x - dx, y - dy, x + dx, y + dy);
        g.fillOval(x - 2, y - 2, 4, 4);
    }
}
