package ivrik.app.widget;

import ivrik.app.theme.Palette;

import javafx.beans.property.ObjectProperty;
import javafx.beans.value.ObservableValue;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/** A region that draws itself when its size or scheme changes, or on request, once per pulse. */
public abstract class Drawing extends Region {
    protected final ObjectProperty<Palette> palette;
    private final Canvas canvas = new Canvas();

    protected Drawing(ObjectProperty<Palette> palette) {
        this.palette = palette;
        getChildren().add(canvas);
        redrawOn(palette);
    }

    /** Redraws on changes, while in a window. */
    protected final void redrawOn(ObservableValue<?>... to) {
        ListenWhileShown.listen(this, this::redraw, to);
    }

    /** Redraws at the next pulse. */
    public final void redraw() {
        requestLayout();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, getWidth(), getHeight());
        if (getWidth() > 1 && getHeight() > 1) {
            draw(g, palette.get(), getWidth(), getHeight());
        }
    }

    protected abstract void draw(GraphicsContext g, Palette p, double width, double height);
}
