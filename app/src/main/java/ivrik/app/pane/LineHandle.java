package ivrik.app.pane;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.ChannelHandle;
import ivrik.app.shape.PaneMapping;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;

/**
 * Direction of a treatment: one line per channel, as long as the channel's length. A knob beyond the end of
 * the selected channel's line rotates all lines and sets the selected length.
 */
final class LineHandle extends ChannelHandle {
    static final String ANGLE = "angle";
    static final String LENGTH = "length";

    /**
     * Distance of the knob from the end of the line on screen, so that a line of length 0 has a knob.
     */
    private static final double BEYOND = 22;

    private static final double RADIUS = 6;
    private static final double GRAB_RADIUS = 11;

    LineHandle(Session session, View view) {
        super(session, view);
    }

    private double number(int channel, String name) {
        return settings(channel).value(name).at(view.frame.get());
    }

    /** Start of the lines; treatments along a line have no centre or do not use it. */
    private static Point2D middle(PaneMapping m) {
        return m.fromMiddle(Point2D.ZERO);
    }

    /** End of a channel's line, extended by {@code more}, on screen. */
    private Point2D end(int channel, PaneMapping m, double more) {
        double angle = Math.toRadians(number(channel, ANGLE));
        double length = number(channel, LENGTH);
        double far = length / 2 * m.zoom() + (length < 0 ? -more : more);
        return new Point2D(Math.cos(angle) * far, Math.sin(angle) * far);
    }

    @Override
    public void draw(GraphicsContext g, Palette p, PaneMapping m) {
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        int working = ChannelEdits.share(session.state());
        Point2D middle = middle(m);
        for (int k = 1; k <= kinds.size(); k++) {
            int channel = (working + k) % kinds.size();
            line(g, p.ink(kinds.get(channel)), middle, end(channel, m, 0), channel == working);
        }
        Point2D end = middle.add(end(working, m, 0));
        Point2D knob = middle.add(end(working, m, BEYOND));
        stroke(g, Color.gray(0, 0.55), 3, end, knob);
        stroke(g, p.colour("paper"), 1, end, knob);
        circle(g, Color.gray(0, 0.55), 4, knob);
        circle(g, p.ink(kinds.get(working)), 2, knob);
    }

    private static void line(
            GraphicsContext g, Color ink, Point2D middle, Point2D end, boolean working) {
        stroke(g, Color.gray(0, 0.55), working ? 5 : 3, middle.subtract(end), middle.add(end));
        stroke(g, ink, working ? 2.6 : 1.4, middle.subtract(end), middle.add(end));
    }

    private static void stroke(GraphicsContext g, Color c, double width, Point2D a, Point2D b) {
        g.setStroke(c);
        g.setLineWidth(width);
        g.strokeLine(a.getX(), a.getY(), b.getX(), b.getY());
    }

    private static void circle(GraphicsContext g, Color c, double width, Point2D at) {
        g.setStroke(c);
        g.setLineWidth(width);
        g.strokeOval(at.getX() - RADIUS, at.getY() - RADIUS, 2 * RADIUS, 2 * RADIUS);
    }

    @Override
    public boolean pressed(MouseEvent e, PaneMapping m) {
        Point2D knob = middle(m).add(end(ChannelEdits.share(session.state()), m, BEYOND));
        if (e.getButton() != MouseButton.PRIMARY
                || knob.distance(e.getX(), e.getY()) > GRAB_RADIUS) {
            return false;
        }
        gesture = session.gesture("Change direction");
        return true;
    }

    @Override
    public void dragged(MouseEvent e, PaneMapping m) {
        Point2D to = new Point2D(e.getX(), e.getY()).subtract(middle(m));
        double unit = e.isAltDown() ? 10 : 1;
        double turned = Math.toDegrees(Math.atan2(to.getY(), to.getX()));
        double angle = Math.rint(turned * unit) / unit;
        double px = 2 * Math.max(0, to.magnitude() - BEYOND) / m.zoom();
        double length = Math.rint(px * unit) / unit;
        String step = session.state().stepId();
        int working = ChannelEdits.share(session.state());
        long frame = view.frame.get();
        gesture.editLook(
                look -> {
                    Look turning = look;
                    for (int channel = 0; channel < look.channels().size(); channel++) {
                        turning = ChannelEdits.with(turning, step, channel, frame, ANGLE, angle);
                    }
                    return ChannelEdits.with(turning, step, working, frame, LENGTH, length);
                });
    }
}
