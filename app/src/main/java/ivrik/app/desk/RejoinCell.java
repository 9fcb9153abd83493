package ivrik.app.desk;

import ivrik.app.theme.Palette;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.LaneKind;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

/** The ink a lane paints with, and how: its own way, the way of all, or not at all. */
final class RejoinCell extends VBox {
    private final int lane;
    private final Label strength = new Label();

    RejoinCell(Look look, int lane, LaneKind kind) {
        super(3);
        this.lane = lane;
        LaneState state = look.lanes().get(lane);
        Rectangle swatch = new Rectangle(18, 12, Palette.colourOf(state.ink().orElse(kind.ink())));
        swatch.getStyleClass().add("swatch");
        strength.getStyleClass().add("number");
        HBox inked = new HBox(6, swatch, strength);
        inked.setAlignment(Pos.CENTER);
        Label way = new Label(way(look, state));
        way.getStyleClass().add("quiet");
        getChildren().addAll(inked, way);
        setAlignment(Pos.CENTER);
        getStyleClass().add("cell");
        setId("rejoin-" + kind.id());
    }

    private String way(Look look, LaneState state) {
        if (!look.isShown(lane)) {
            return "left out";
        }
        return look.rejoin().isExact()
                ? look.rejoin().id()
                : state.blend().map(Blend::id).orElse(look.rejoin().id());
    }

    /** Shows how much of the lane is in the picture at a frame. */
    void show(Look look, long frame) {
        double share = look.lanes().get(lane).strength().at(frame);
        strength.setText(Math.round(100 * share) + " %");
    }
}
