package ivrik.app.pane;

import ivrik.app.picture.Shown;
import ivrik.app.theme.Palette;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;

/** A round glass under the pointer: the picture's own pixels, eight times as large. */
final class Loupe {
    private static final double RADIUS = 84;
    private static final double MAGNIFY = 8;

    private Loupe() {}

    static void draw(
            GraphicsContext g,
            Palette p,
            Image image,
            Shown shown,
            Mapping m,
            Point2D at,
            double width,
            double height) {
        Point2D centre = m.toPicture(at.getX(), at.getY()).multiply(shown.scale());
        double x =
                at.getX() + RADIUS + 24 + RADIUS > width
                        ? at.getX() - RADIUS - 24
                        : at.getX() + RADIUS + 24;
        double y = Math.clamp(at.getY(), RADIUS + 4, Math.max(RADIUS + 4, height - RADIUS - 4));
        double half = RADIUS / MAGNIFY;
        g.save();
        g.beginPath();
        g.arc(x, y, RADIUS, RADIUS, 0, 360);
        g.closePath();
        g.clip();
        g.setFill(p.colour("ground"));
        g.fillRect(x - RADIUS, y - RADIUS, 2 * RADIUS, 2 * RADIUS);
        g.setImageSmoothing(false);
        g.drawImage(
                image,
                centre.getX() - half,
                centre.getY() - half,
                2 * half,
                2 * half,
                x - RADIUS,
                y - RADIUS,
                2 * RADIUS,
                2 * RADIUS);
        g.restore();
        g.setStroke(p.colour("paper"));
        g.setLineWidth(1.5);
        g.strokeOval(x - RADIUS, y - RADIUS, 2 * RADIUS, 2 * RADIUS);
        g.setLineWidth(1);
        g.strokeRect(x - MAGNIFY / 2, y - MAGNIFY / 2, MAGNIFY, MAGNIFY);
    }
}
