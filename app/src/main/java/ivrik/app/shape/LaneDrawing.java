package ivrik.app.shape;

import ivrik.app.control.Drawing;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;

import javafx.beans.property.ObjectProperty;
import javafx.scene.input.MouseEvent;

/** One control for all lanes, drawn anew whenever there is something else to show; drags are one step. */
abstract class LaneDrawing extends Drawing {
    final Session session;
    final View view;

    /** The drag under way, or null. */
    Session.Gesture gesture;

    LaneDrawing(
            Session session, View view, ObjectProperty<Palette> palette, String accessibleText) {
        super(palette);
        this.session = session;
        this.view = view;
        setAccessibleText(accessibleText);
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(
                e -> {
                    gesture = null;
                    redraw();
                });
        redrawOn(session.stateProperty(), view.frame);
    }

    abstract void pressed(MouseEvent e);

    abstract void dragged(MouseEvent e);
}
