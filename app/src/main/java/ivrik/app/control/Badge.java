package ivrik.app.control;

import ivrik.app.theme.Palette;
import ivrik.core.separation.Ink;
import ivrik.core.separation.LaneKind;
import ivrik.core.separation.Trio;

import javafx.scene.control.Label;
import javafx.scene.paint.Color;

/** A lane's letter on its ink. */
public final class Badge extends Label {
    public Badge() {
        getStyleClass().add("badge");
    }

    public Badge(LaneKind lane) {
        this();
        show(lane);
    }

    public void show(LaneKind lane) {
        setText(lane.letter());
        setStyle(Trio.isLane(lane) ? own(lane.ink()) : "-fx-background-color: -ink-" + lane.id());
    }

    /** A lane whose colour its user has picked is shown in just this colour. */
    private static String own(Ink ink) {
        Color colour = Palette.colourOf(ink);
        boolean light =
                Palette.contrast(colour, Color.BLACK) > Palette.contrast(colour, Color.WHITE);
        return "-fx-background-color: #"
                + ink.hex()
                + "; -fx-text-fill: "
                + (light ? "black" : "white");
    }
}
