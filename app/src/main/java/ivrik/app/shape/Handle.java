package ivrik.app.shape;

import ivrik.app.theme.Palette;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;

/** Something of a treatment that is held on the picture. */
public interface Handle {
    void draw(GraphicsContext g, Palette p, Mapping m);

    /** Whether it was taken. */
    boolean pressed(MouseEvent e, Mapping m);

    void dragged(MouseEvent e, Mapping m);

    void released();
}
