package ivrik.app.desk;

import javafx.scene.control.Label;

/** A few words beside the pointer while something is dragged. */
final class Told extends Label {
    private static final double AWAY = 12;

    Told() {
        setManaged(false);
        setVisible(false);
        setMouseTransparent(true);
        setId("dragged-to");
        getStyleClass().add("playhead");
    }

    void show(String words, double x, double y) {
        setText(words);
        setVisible(true);
        autosize();
        double most = getParent().getLayoutBounds().getWidth() - getWidth();
        relocate(Math.clamp(x + AWAY, 0, Math.max(0, most)), Math.max(0, y - AWAY - getHeight()));
    }
}
