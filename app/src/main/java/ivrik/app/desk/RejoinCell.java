package ivrik.app.desk;

import ivrik.app.theme.Palette;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.ChannelKind;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;

/** Ink and blend mode of a channel, or that it is muted. */
final class RejoinCell extends VBox {
    private final int channel;
    private final Label strength = new Label();

    RejoinCell(Look look, int channel, ChannelKind kind) {
        super(3);
        this.channel = channel;
        ChannelState state = look.channels().get(channel);
        Rectangle swatch = new Rectangle(18, 12, Palette.colourOf(state.ink().orElse(kind.ink())));
        swatch.getStyleClass().add("swatch");
        strength.getStyleClass().add("number");
        HBox inked = new HBox(6, swatch, strength);
        inked.setAlignment(Pos.CENTER);
        Label direction = new Label(blend(look, state));
        direction.getStyleClass().add("quiet");
        getChildren().addAll(inked, direction);
        setAlignment(Pos.CENTER);
        getStyleClass().add("cell");
        setId("rejoin-" + kind.id());
    }

    private String blend(Look look, ChannelState state) {
        if (!look.isShown(channel)) {
            return "muted";
        }
        return look.rejoin().isExact()
                ? look.rejoin().id()
                : state.blend().map(Blend::id).orElse(look.rejoin().id());
    }

    /** Shows the channel's strength at a frame. */
    void show(Look look, long frame) {
        double share = look.channels().get(channel).strength().at(frame);
        strength.setText(Math.round(100 * share) + " %");
    }
}
