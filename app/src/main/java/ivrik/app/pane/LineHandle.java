package ivrik.app.pane;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.LaneHandle;
import ivrik.app.shape.Mapping;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.separation.LaneKind;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;

/**
 * The direction of a treatment: a line for each lane, as long as the lane is drawn out. A knob beyond
 * the end of the line of the lane being worked on turns all of them and sets how long its own is.
 */
final class LineHandle extends LaneHandle {
    static final String ANGLE = "angle";
    static final String LENGTH = "length";

    /** How far beyond the end of the line its knob lies, on screen, so that a line of no length has one. */
    private static final double BEYOND = 22;

    private static final double RADIUS = 6;
    private static final double REACH = 11;

    LineHandle(Session session, View view) {
        super(session, view);
    }

    private double number(int lane, String name) {
        return amounts(lane).value(name).at(view.frame.get());
    }

    /** What lies along a line has no centre, or does not use it. */
    private static Point2D middle(Mapping m) {
        return m.fromMiddle(Point2D.ZERO);
    }

    /** From the middle to the end of a lane's line, and {@code more} beyond it, on screen. */
    private Point2D end(int lane, Mapping m, double more) {
        double angle = Math.toRadians(number(lane, ANGLE));
        double length = number(lane, LENGTH);
        double far = length / 2 * m.zoom() + (length < 0 ? -more : more);
        return new Point2D(Math.cos(angle) * far, Math.sin(angle) * far);
    }

    @Override
    public void draw(GraphicsContext g, Palette p, Mapping m) {
        List<LaneKind> kinds = LaneEdits.shares(session.state());
        int working = LaneEdits.share(session.state());
        Point2D middle = middle(m);
        for (int k = 1; k <= kinds.size(); k++) {
            int lane = (working + k) % kinds.size();
            line(g, p.ink(kinds.get(lane)), middle, end(lane, m, 0), lane == working);
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
    public boolean pressed(MouseEvent e, Mapping m) {
        Point2D knob = middle(m).add(end(LaneEdits.share(session.state()), m, BEYOND));
        if (e.getButton() != MouseButton.PRIMARY || knob.distance(e.getX(), e.getY()) > REACH) {
            return false;
        }
        gesture = session.gesture("Turn the line");
        return true;
    }

    @Override
    public void dragged(MouseEvent e, Mapping m) {
        Point2D to = new Point2D(e.getX(), e.getY()).subtract(middle(m));
        double unit = e.isAltDown() ? 10 : 1;
        double turned = Math.toDegrees(Math.atan2(to.getY(), to.getX()));
        double angle = Math.rint(turned * unit) / unit;
        double px = 2 * Math.max(0, to.magnitude() - BEYOND) / m.zoom();
        double length = Math.rint(px * unit) / unit;
        String step = session.state().stepId();
        int working = LaneEdits.share(session.state());
        long frame = view.frame.get();
        gesture.editLook(
                look -> {
                    Look turning = look;
                    for (int lane = 0; lane < look.lanes().size(); lane++) {
                        turning = LaneEdits.with(turning, step, lane, frame, ANGLE, angle);
                    }
                    return LaneEdits.with(turning, step, working, frame, LENGTH, length);
                });
    }
}
