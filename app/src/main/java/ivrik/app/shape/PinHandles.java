package ivrik.app.shape;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.core.look.Amounts;
import ivrik.core.treatment.Pins;

import javafx.geometry.Point2D;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

import java.util.Map;
import java.util.function.UnaryOperator;

/**
 * The pins of each lane: where they stand, and a line to where they take the picture. A double click
 * sets one in the lane being worked on, a drag takes it along; with Shift a drag moves where it stands,
 * the right button takes it away.
 */
final class PinHandles extends LaneHandle {
    private static final double REACH = 10;

    private int pin;
    private boolean standing;

    PinHandles(Session session, View view) {
        super(session, view);
    }

    /** Where a pin stands, from the middle of the picture. */
    private Point2D place(Amounts a, int number) {
        return told(a, number, "x", "y");
    }

    private Point2D told(Amounts a, int number, String across, String down) {
        return LaneEdits.place(
                a,
                view.frame.get(),
                Pins.SERIES.address(number, across),
                Pins.SERIES.address(number, down));
    }

    private Point2D stands(Amounts a, int number, Mapping m) {
        return m.fromMiddle(place(a, number));
    }

    private Point2D takes(Amounts a, int number, Mapping m) {
        return m.fromMiddle(place(a, number).add(told(a, number, "dx", "dy")));
    }

    @Override
    public void draw(GraphicsContext g, Palette p, Mapping m) {
        int working = LaneEdits.share(session.state());
        var kinds = LaneEdits.shares(session.state());
        for (int k = 1; k <= kinds.size(); k++) {
            int lane = (working + k) % kinds.size();
            Amounts a = amounts(lane);
            for (int i = 0; i < a.count(Pins.SERIES); i++) {
                Point2D from = stands(a, i, m);
                Point2D to = takes(a, i, m);
                boolean big = lane == working;
                line(g, from, to, Color.gray(0, 0.6), big ? 4 : 3);
                line(g, from, to, p.ink(kinds.get(lane)), big ? 2 : 1.2);
                double r = big ? 6 : 4;
                g.setFill(Color.gray(0, 0.6));
                g.fillOval(to.getX() - r - 1, to.getY() - r - 1, 2 * r + 2, 2 * r + 2);
                g.setFill(p.ink(kinds.get(lane)));
                g.fillOval(to.getX() - r, to.getY() - r, 2 * r, 2 * r);
            }
        }
    }

    /** From a small square, where the pin stands, to where it takes the picture. */
    private static void line(
            GraphicsContext g, Point2D from, Point2D to, Color colour, double width) {
        g.setStroke(colour);
        g.setLineWidth(width);
        g.strokeLine(from.getX(), from.getY(), to.getX(), to.getY());
        g.strokeRect(from.getX() - 3, from.getY() - 3, 6, 6);
    }

    @Override
    public boolean pressed(MouseEvent e, Mapping m) {
        int lane = LaneEdits.share(session.state());
        Amounts a = amounts(lane);
        pin = -1;
        for (int i = 0; i < a.count(Pins.SERIES); i++) {
            if (takes(a, i, m).distance(e.getX(), e.getY()) < REACH
                    || e.isShiftDown() && stands(a, i, m).distance(e.getX(), e.getY()) < REACH) {
                pin = i;
            }
        }
        boolean away = e.getButton() == MouseButton.SECONDARY;
        if (pin >= 0 && away) {
            int gone = pin;
            edit("Remove a pin", lane, l -> l.withoutThing(Pins.SERIES, gone));
            return true;
        }
        if (away || pin < 0 && e.getClickCount() < 2) {
            return false;
        }
        if (pin < 0) {
            Point2D at = inPicture(e, m);
            pin = a.count(Pins.SERIES);
            edit(
                    "Set a pin",
                    lane,
                    l -> l.withThing(Pins.SERIES, Map.of("x", at.getX(), "y", at.getY())));
        }
        standing = e.isShiftDown();
        gesture = session.gesture("Drag a pin");
        return true;
    }

    private void edit(String name, int lane, UnaryOperator<Amounts> change) {
        String step = session.state().stepId();
        session.editLook(name, look -> look.withAmounts(step, lane, change));
    }

    private static Point2D inPicture(MouseEvent e, Mapping m) {
        Point2D at = m.toMiddle(e.getX(), e.getY());
        return new Point2D(Math.rint(at.getX()), Math.rint(at.getY()));
    }

    @Override
    public void dragged(MouseEvent e, Mapping m) {
        if (gesture == null) {
            return;
        }
        String step = session.state().stepId();
        int lane = LaneEdits.share(session.state());
        long frame = view.frame.get();
        Point2D at = inPicture(e, m);
        String x = Pins.SERIES.address(pin, standing ? "x" : "dx");
        String y = Pins.SERIES.address(pin, standing ? "y" : "dy");
        gesture.editLook(
                look -> {
                    Amounts a = LaneEdits.amounts(look, step, lane);
                    Point2D to = standing ? at : at.subtract(place(a, pin));
                    return LaneEdits.with(look, step, lane, frame, x, y, to);
                });
    }
}
