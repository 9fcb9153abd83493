package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.separation.ChannelKind;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.List;

/**
 * Handles of a shift on the picture: one point per channel, offset from the centre by the channel's shift.
 */
final class ShiftHandles extends ChannelHandle {
    private static final double RADIUS = 7;
    private static final double GRAB_RADIUS = 11;

    private int channel;
    private Point2D grip;

    ShiftHandles(Session session, View view) {
        super(session, view);
    }

    private Point2D place(int channel, PaneMapping m) {
        return m.fromMiddle(ChannelEdits.shifts(session.state(), view.frame.get()).get(channel));
    }

    @Override
    public void draw(GraphicsContext g, Palette p, PaneMapping m) {
        List<ChannelKind> channels = ChannelEdits.shares(session.state());
        if (!ChannelEdits.hasShift(session.state())) {
            return;
        }
        int working = ChannelEdits.share(session.state());
        g.setFont(p.textFont(11));
        for (int i = 0; i < channels.size(); i++) {
            if (i != working) {
                point(g, p, place(i, m), p.ink(channels.get(i)), channels.get(i).letter(), false);
            }
        }
        point(
                g,
                p,
                place(working, m),
                p.ink(channels.get(working)),
                channels.get(working).letter(),
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
    public boolean pressed(MouseEvent e, PaneMapping m) {
        if (!ChannelEdits.hasShift(session.state()) || e.getButton() != MouseButton.PRIMARY) {
            return false;
        }
        int working = ChannelEdits.share(session.state());
        List<ChannelKind> kinds = ChannelEdits.shares(session.state());
        for (int k = 0; k < kinds.size(); k++) {
            int i = (working + k) % kinds.size();
            Point2D place = place(i, m);
            if (place.distance(e.getX(), e.getY()) < GRAB_RADIUS) {
                ChannelEdits.select(session, i);
                channel = i;
                grip = place.subtract(e.getX(), e.getY());
                gesture = session.gesture("Move " + kinds.get(i).title());
                return true;
            }
        }
        return false;
    }

    @Override
    public void dragged(MouseEvent e, PaneMapping m) {
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
                look -> view.follow.get().moved(look, step, channel, view.frame.get(), place));
    }
}
