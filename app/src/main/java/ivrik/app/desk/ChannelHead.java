package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.widget.ChannelBadge;
import ivrik.core.look.ChannelSource;
import ivrik.core.look.ChannelState;
import ivrik.core.look.Look;
import ivrik.core.separation.ChannelKind;

import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.function.BiFunction;
import java.util.function.Predicate;

/** Head of a channel's row: name, source and three switches. */
final class ChannelHead extends HBox {
    private final Session session;
    private final int channel;
    private final ChannelKind kind;
    private final ChannelState state;

    ChannelHead(Session session, Look look, int channel, ChannelKind kind) {
        this.session = session;
        this.channel = channel;
        this.kind = kind;
        this.state = look.channels().get(channel);
        Label name = new Label(kind.title());
        name.getStyleClass().add("channel-name");
        name.setMinWidth(USE_PREF_SIZE);
        HBox switches =
                new HBox(
                        toggle(
                                "solo",
                                "solo",
                                "Solo: only soloed channels are in the picture. Key: O",
                                ChannelState::solo,
                                ChannelState::withSolo),
                        toggle(
                                "mute",
                                "mute",
                                "Mute: leaves this channel out of the picture. Key: M",
                                ChannelState::mute,
                                ChannelState::withMute),
                        toggle(
                                "fixed",
                                "fixed",
                                "Fixed: movement treatments do not act on this channel. Key: G",
                                ChannelState::fixed,
                                ChannelState::withFixed));
        switches.setTranslateX(-5);
        Label channelSource = new Label(channelSource(state.channelSource()));
        channelSource.getStyleClass().add("quiet");
        channelSource.setId(kind.id() + "-channel-source");
        channelSource.setMinWidth(0);
        channelSource.setTooltip(new Tooltip(channelSource.getText()));
        getChildren()
                .addAll(
                        new ChannelBadge(kind),
                        new VBox(4, new HBox(6, name, channelSource), switches));
        getStyleClass().add("channel-head");
        setOnMousePressed(e -> session.selectChannel(channel));
    }

    /** Short description of a channel's source; empty for the layer's own picture. */
    private String channelSource(ChannelSource channelSource) {
        long frames = Math.round(channelSource.delayFrames().rest());
        String late =
                channelSource.delayFrames().isMoving()
                        ? "delayed"
                        : frames == 0
                                ? ""
                                : Math.abs(frames) + (frames > 0 ? " fr delayed" : " fr early");
        String other =
                session.project()
                        .source(channelSource.source())
                        .map(s -> "source: " + s.name())
                        .orElse("");
        return (other + " " + late).strip();
    }

    private ToggleButton toggle(
            String id,
            String title,
            String help,
            Predicate<ChannelState> is,
            BiFunction<ChannelState, Boolean, ChannelState> with) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().setAll("switch");
        button.setId(kind.id() + "-" + id);
        button.setSelected(is.test(state));
        button.setTooltip(new Tooltip(help));
        button.setMinWidth(USE_PREF_SIZE);
        button.setOnAction(
                e -> {
                    boolean on = button.isSelected();
                    String name = (on ? "" : "Clear ") + title + " " + kind.title();
                    session.editLook(
                            Character.toUpperCase(name.charAt(0)) + name.substring(1),
                            l -> l.withChannel(channel, s -> with.apply(s, on)));
                });
        return button;
    }
}
