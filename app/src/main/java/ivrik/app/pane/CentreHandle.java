package ivrik.app.pane;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.shape.ChannelHandle;
import ivrik.app.shape.PaneMapping;
import ivrik.app.theme.Palette;
import ivrik.core.look.Look;
import ivrik.core.treatment.Centre;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

/** Centre of the selected treatment: a cross that is dragged for all channels together. */
final class CentreHandle extends ChannelHandle {
    private static final double ARM = 13;
    private static final double GRAB_RADIUS = 11;

    CentreHandle(Session session, View view) {
        super(session, view);
    }

    private Point2D place(PaneMapping m) {
        return m.fromMiddle(
                ChannelEdits.place(settings(), view.frame.get(), Centre.X.name(), Centre.Y.name()));
    }

    @Override
    public void draw(GraphicsContext g, Palette p, PaneMapping m) {
        Point2D at = place(m);
        cross(g, at, Color.gray(0, 0.6), 4);
        cross(g, at, p.colour("paper"), 1.6);
    }

    private static void cross(GraphicsContext g, Point2D at, Color colour, double width) {
        double x = at.getX();
        double y = at.getY();
        g.setStroke(colour);
        g.setLineWidth(width);
        g.strokeLine(x - ARM, y, x - 4, y);
        g.strokeLine(x + 4, y, x + ARM, y);
        g.strokeLine(x, y - ARM, x, y - 4);
        g.strokeLine(x, y + 4, x, y + ARM);
        g.strokeOval(x - 4, y - 4, 8, 8);
    }

    @Override
    public boolean pressed(MouseEvent e, PaneMapping m) {
        if (e.getButton() != MouseButton.PRIMARY
                || place(m).distance(e.getX(), e.getY()) > GRAB_RADIUS) {
            return false;
        }
        gesture = session.gesture("Move centre");
        return true;
    }

    @Override
    public void dragged(MouseEvent e, PaneMapping m) {
        Point2D at = m.toMiddle(e.getX(), e.getY());
        Point2D to = new Point2D(Math.rint(at.getX()), Math.rint(at.getY()));
        String step = session.state().stepId();
        long frame = view.frame.get();
        gesture.editLook(
                look -> {
                    Look moved = look;
                    for (int channel = 0; channel < look.channels().size(); channel++) {
                        moved =
                                ChannelEdits.with(
                                        moved,
                                        step,
                                        channel,
                                        frame,
                                        Centre.X.name(),
                                        Centre.Y.name(),
                                        to);
                    }
                    return moved;
                });
    }
}
