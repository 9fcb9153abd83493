package ivrik.app.shape;

import ivrik.app.theme.Palette;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;

/** A draggable handle of a treatment on the picture. */
public interface Handle {
    void draw(GraphicsContext g, Palette p, PaneMapping m);

    /** Whether the press started a drag. */
    boolean pressed(MouseEvent e, PaneMapping m);

    void dragged(MouseEvent e, PaneMapping m);

    void released();
}
