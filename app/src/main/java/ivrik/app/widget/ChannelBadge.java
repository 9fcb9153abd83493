package ivrik.app.widget;

import ivrik.app.theme.Palette;
import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.CustomPrimaries;
import ivrik.core.separation.Ink;

import javafx.scene.control.Label;
import javafx.scene.paint.Color;

/** A channel's letter on its ink colour. */
public final class ChannelBadge extends Label {
    public ChannelBadge() {
        getStyleClass().add("badge");
    }

    public ChannelBadge(ChannelKind channel) {
        this();
        show(channel);
    }

    public void show(ChannelKind channel) {
        setText(channel.letter());
        setStyle(
                CustomPrimaries.isChannel(channel)
                        ? own(channel.ink())
                        : "-fx-background-color: -ink-" + channel.id());
    }

    /** A channel with a custom ink shows exactly that colour. */
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
