package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.ChannelSettings;
import ivrik.core.treatment.PinWarp;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * The pins of each channel: their positions, and lines to their targets. A double click adds a pin to the
 * selected channel; a drag moves its target, with Shift its position; a right click removes it.
 */
final class PinHandles extends ChannelHandle {
    private static final double GRAB_RADIUS = 10;

    private int pin;
    private boolean standing;

    PinHandles(Session session, View view) {
        super(session, view);
    }

    /** Position of a pin relative to the picture's centre. */
    private Point2D place(ChannelSettings a, int number) {
        return tooltip(a, number, "x", "y");
    }

    private Point2D tooltip(ChannelSettings a, int number, String across, String down) {
        return ChannelEdits.place(
                a,
                view.frame.get(),
                PinWarp.SERIES.address(number, across),
                PinWarp.SERIES.address(number, down));
    }

    private Point2D stands(ChannelSettings a, int number, PaneMapping m) {
        return m.fromMiddle(place(a, number));
    }

    private Point2D takes(ChannelSettings a, int number, PaneMapping m) {
        return m.fromMiddle(place(a, number).add(tooltip(a, number, "dx", "dy")));
    }

    @Override
    public void draw(GraphicsContext g, Palette p, PaneMapping m) {
        int working = ChannelEdits.share(session.state());
        var kinds = ChannelEdits.shares(session.state());
        for (int k = 1; k <= kinds.size(); k++) {
            int channel = (working + k) % kinds.size();
            ChannelSettings a = settings(channel);
            for (int i = 0; i < a.count(PinWarp.SERIES); i++) {
                Point2D from = stands(a, i, m);
                Point2D to = takes(a, i, m);
                boolean big = channel == working;
                line(g, from, to, Color.gray(0, 0.6), big ? 4 : 3);
                line(g, from, to, p.ink(kinds.get(channel)), big ? 2 : 1.2);
                double r = big ? 6 : 4;
                g.setFill(Color.gray(0, 0.6));
                g.fillOval(to.getX() - r - 1, to.getY() - r - 1, 2 * r + 2, 2 * r + 2);
                g.setFill(p.ink(kinds.get(channel)));
                g.fillOval(to.getX() - r, to.getY() - r, 2 * r, 2 * r);
            }
        }
    }

    /** Draws a pin from a small square at its position to its target. */
    private static void line(
            GraphicsContext g, Point2D from, Point2D to, Color colour, double width) {
        g.setStroke(colour);
        g.setLineWidth(width);
        g.strokeLine(from.getX(), from.getY(), to.getX(), to.getY());
        g.strokeRect(from.getX() - 3, from.getY() - 3, 6, 6);
    }

    @Override
    public boolean pressed(MouseEvent e, PaneMapping m) {
        int channel = ChannelEdits.share(session.state());
        ChannelSettings a = settings(channel);
        pin = -1;
        for (int i = 0; i < a.count(PinWarp.SERIES); i++) {
            if (takes(a, i, m).distance(e.getX(), e.getY()) < GRAB_RADIUS
                    || e.isShiftDown()
                            && stands(a, i, m).distance(e.getX(), e.getY()) < GRAB_RADIUS) {
                pin = i;
            }
        }
        boolean away = e.getButton() == MouseButton.SECONDARY;
        if (pin >= 0 && away) {
            int gone = pin;
            edit("Delete pin", channel, l -> l.withoutItem(PinWarp.SERIES, gone));
            return true;
        }
        if (away || pin < 0 && e.getClickCount() < 2) {
            return false;
        }
        if (pin < 0) {
            Point2D at = inPicture(e, m);
            pin = a.count(PinWarp.SERIES);
            edit(
                    "Add pin",
                    channel,
                    l -> l.withItem(PinWarp.SERIES, Map.of("x", at.getX(), "y", at.getY())));
        }
        standing = e.isShiftDown();
        gesture = session.gesture("Move pin");
        return true;
    }

    private void edit(String name, int channel, UnaryOperator<ChannelSettings> change) {
        String step = session.state().stepId();
        session.editLook(name, look -> look.withSettings(step, channel, change));
    }

    private static Point2D inPicture(MouseEvent e, PaneMapping m) {
        Point2D at = m.toMiddle(e.getX(), e.getY());
        return new Point2D(Math.rint(at.getX()), Math.rint(at.getY()));
    }

    @Override
    public void dragged(MouseEvent e, PaneMapping m) {
        if (gesture == null) {
            return;
        }
        String step = session.state().stepId();
        int channel = ChannelEdits.share(session.state());
        long frame = view.frame.get();
        Point2D at = inPicture(e, m);
        String x = PinWarp.SERIES.address(pin, standing ? "x" : "dx");
        String y = PinWarp.SERIES.address(pin, standing ? "y" : "dy");
        gesture.editLook(
                look -> {
                    ChannelSettings a = ChannelEdits.settings(look, step, channel);
                    Point2D to = standing ? at : at.subtract(place(a, pin));
                    return ChannelEdits.with(look, step, channel, frame, x, y, to);
                });
    }
}
