package ivrik.app.shape;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.theme.Palette;
import ivrik.app.widget.Drawing;

import javafx.beans.property.ObjectProperty;
import javafx.scene.input.MouseEvent;

/** A drawn control for all channels; a drag is one undo step. */
abstract class ChannelDrawing extends Drawing {
    final Session session;
    final View view;

    /** The present drag, or null. */
    Session.Gesture gesture;

    ChannelDrawing(
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
