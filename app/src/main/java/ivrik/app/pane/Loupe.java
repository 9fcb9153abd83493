package ivrik.app.pane;

import ivrik.app.picture.ShownFrame;
import ivrik.app.shape.PaneMapping;
import ivrik.app.theme.Palette;
import ivrik.core.measure.EdgeProfile;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Rgb;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * A round magnifier at the pointer: the picture's pixels, eight times enlarged. Below it, the red, green and
 * blue values across the edge, and the distances of red and blue from green in sequence pixels.
 */
final class Loupe {
    private static final double RADIUS = 84;
    private static final double MAGNIFY = 8;
    private static final double PROFILE = 64;
    private static final int PROFILE_RADIUS = 10;

    private Loupe() {}

    static void draw(
            GraphicsContext g,
            Palette p,
            Image image,
            ShownFrame shown,
            PaneMapping m,
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
        g.setFill(p.colour("background"));
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
        if (shown.frame() != null) {
            double top = y + RADIUS + 8;
            double below = top + PROFILE + 20 > height ? y - RADIUS - PROFILE - 28 : top;
            profile(g, p, shown, centre, x - RADIUS, below);
        }
    }

    /** Draws the channels across the edge under the pointer and the distances of their edges. */
    private static void profile(
            GraphicsContext g, Palette p, ShownFrame shown, Point2D at, double left, double top) {
        int px = (int) Math.floor(at.getX());
        int py = (int) Math.floor(at.getY());
        EdgeProfile profile = EdgeProfile.at(shown.frame(), px, py, PROFILE_RADIUS);
        boolean cut = IntStream.range(0, 3).anyMatch(profile::isCutOff);
        double high = PROFILE + (cut ? 36 : 20);
        g.setGlobalAlpha(0.9);
        g.setFill(p.colour("background"));
        g.fillRect(left, top, 2 * RADIUS, high);
        g.setGlobalAlpha(1);
        g.setStroke(p.colour("line"));
        g.strokeRect(left, top, 2 * RADIUS, high);
        g.strokeLine(left + RADIUS, top, left + RADIUS, top + PROFILE);
        List<ChannelKind> rgb = new Rgb().channels();
        for (int c = 0; c < 3; c++) {
            g.setStroke(p.ink(rgb.get(c)));
            g.setLineWidth(1.6);
            curve(g, profile.values().get(c), left, top);
        }
        g.setFont(p.numberFont(11));
        String direction = profile.across() ? "across" : "down";
        double x = left + 8;
        for (int c = 0; c < 3; c += 2) {
            g.setFill(p.ink(rgb.get(c)));
            OptionalDouble apart = profile.apart(c, 1);
            String text =
                    rgb.get(c).letter()
                            + (apart.isPresent()
                                    ? String.format(
                                            Locale.ROOT,
                                            " %+.2f",
                                            apart.getAsDouble() / shown.scale())
                                    : " -");
            g.fillText(text, x, top + PROFILE + 14);
            x += 58;
        }
        g.setFill(p.colour("quiet"));
        g.fillText(direction, x, top + PROFILE + 14);
        if (cut) {
            g.setFont(p.textFont(11));
            g.fillText("edge wider than the loupe", left + 8, top + PROFILE + 30);
        }
    }

    private static void curve(GraphicsContext g, float[] values, double left, double top) {
        g.beginPath();
        for (int i = 0; i < values.length; i++) {
            double x = left + 2 * RADIUS * i / (values.length - 1);
            double y = top + 4 + (PROFILE - 8) * (1 - Math.clamp(values[i], 0, 1));
            if (i == 0) {
                g.moveTo(x, y);
            } else {
                g.lineTo(x, y);
            }
        }
        g.stroke();
    }
}
