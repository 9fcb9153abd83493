package ivrik.app.control;

import ivrik.core.separation.LaneKind;

import javafx.scene.control.Label;

/** A lane's letter on its ink. */
public final class Badge extends Label {
    private String ink;

    public Badge() {
        getStyleClass().add("badge");
        setMinWidth(18);
    }

    public Badge(LaneKind lane) {
        this();
        show(lane);
    }

    public void show(LaneKind lane) {
        getStyleClass().remove(ink);
        ink = lane.id();
        getStyleClass().add(ink);
        setText(lane.letter());
    }
}
