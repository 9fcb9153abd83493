package ivrik.app.desk;

import javafx.scene.control.Label;

/** A short text beside the pointer during a drag. */
final class DragTooltip extends Label {
    private static final double AWAY = 12;

    DragTooltip() {
        setManaged(false);
        setVisible(false);
        setMouseTransparent(true);
        setId("dragged-to");
        getStyleClass().add("playhead");
    }

    void show(String text, double x, double y) {
        setText(text);
        setVisible(true);
        autosize();
        double most = getParent().getLayoutBounds().getWidth() - getWidth();
        relocate(Math.clamp(x + AWAY, 0, Math.max(0, most)), Math.max(0, y - AWAY - getHeight()));
    }
}
