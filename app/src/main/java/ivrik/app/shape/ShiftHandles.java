package ivrik.app.shape;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.separation.LaneKind;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;

/**
 * The handles of a shift on the picture: a point per lane, as far from the picture's centre as the
 * lane is moved. Dragging one moves its lane.
 */
final class ShiftHandles extends LaneHandle {
    private static final double RADIUS = 7;
    private static final double REACH = 11;

    private int lane;
    private Point2D grip;

    ShiftHandles(Session session, View view) {
        super(session, view);
    }

    private Point2D place(int lane, Mapping m) {
        return m.fromMiddle(LaneEdits.shifts(session.state(), view.frame.get()).get(lane));
    }

    @Override
    public void draw(GraphicsContext g, Palette p, Mapping m) {
        List<LaneKind> lanes = LaneEdits.shares(session.state());
        if (!LaneEdits.hasShift(session.state())) {
            return;
        }
        int working = LaneEdits.share(session.state());
        g.setFont(p.words(11));
        for (int i = 0; i < lanes.size(); i++) {
            if (i != working) {
                point(g, p, place(i, m), p.ink(lanes.get(i)), lanes.get(i).letter(), false);
            }
        }
        point(
                g,
                p,
                place(working, m),
                p.ink(lanes.get(working)),
                lanes.get(working).letter(),
                true);
    }

    private static void point(
            GraphicsContext g, Palette p, Point2D at, Color ink, String letter, boolean working) {
        double x = at.getX();
        double y = at.getY();
        g.setStroke(Color.gray(0, 0.55));
        g.setLineWidth(working ? 4 : 3);
        g.strokeOval(x - RADIUS, y - RADIUS, 2 * RADIUS, 2 * RADIUS);
        g.setStroke(ink);
        g.setLineWidth(working ? 2 : 1.2);
        g.strokeOval(x - RADIUS, y - RADIUS, 2 * RADIUS, 2 * RADIUS);
        if (working) {
            g.strokeLine(x - RADIUS - 4, y, x + RADIUS + 4, y);
            g.strokeLine(x, y - RADIUS - 4, x, y + RADIUS + 4);
            g.setFill(Color.gray(0, 0.6));
            g.fillText(letter, x + RADIUS + 4, y - RADIUS + 1);
            g.setFill(ink);
            g.fillText(letter, x + RADIUS + 3, y - RADIUS);
        }
    }

    @Override
    public boolean pressed(MouseEvent e, Mapping m) {
        if (!LaneEdits.hasShift(session.state()) || e.getButton() != MouseButton.PRIMARY) {
            return false;
        }
        int working = LaneEdits.share(session.state());
        List<LaneKind> kinds = LaneEdits.shares(session.state());
        for (int k = 0; k < kinds.size(); k++) {
            int i = (working + k) % kinds.size();
            Point2D place = place(i, m);
            if (place.distance(e.getX(), e.getY()) < REACH) {
                LaneEdits.select(session, i);
                lane = i;
                grip = place.subtract(e.getX(), e.getY());
                gesture = session.gesture("Move " + kinds.get(i).title());
                return true;
            }
        }
        return false;
    }

    @Override
    public void dragged(MouseEvent e, Mapping m) {
        if (gesture == null) {
            return;
        }
        Point2D to = m.toMiddle(e.getX() + grip.getX(), e.getY() + grip.getY());
        double unit = e.isAltDown() ? 10 : 1;
        double x = Math.rint(to.getX() * unit) / unit;
        double y = Math.rint(to.getY() * unit) / unit;
        String step = session.state().stepId();
        Point2D place = new Point2D(x, y);
        gesture.editLook(
                look -> view.follow.get().moved(look, step, lane, view.frame.get(), place));
    }
}
