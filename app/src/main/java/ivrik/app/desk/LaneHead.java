package ivrik.app.desk;

import ivrik.app.control.Badge;
import ivrik.app.session.Session;
import ivrik.core.look.Feed;
import ivrik.core.look.LaneState;
import ivrik.core.look.Look;
import ivrik.core.separation.LaneKind;

import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

import java.util.function.BiFunction;
import java.util.function.Predicate;

/** The head of a lane's row: its name, what it is taken from, and its three switches. */
final class LaneHead extends HBox {
    private final Session session;
    private final int lane;
    private final LaneKind kind;
    private final LaneState state;

    LaneHead(Session session, Look look, int lane, LaneKind kind) {
        this.session = session;
        this.lane = lane;
        this.kind = kind;
        this.state = look.lanes().get(lane);
        Label name = new Label(kind.title());
        name.getStyleClass().add("lane-name");
        name.setMinWidth(USE_PREF_SIZE);
        HBox switches =
                new HBox(
                        toggle(
                                "solo",
                                "solo",
                                "Only this lane, and others soloed, are in the picture. Key: O",
                                LaneState::solo,
                                LaneState::withSolo),
                        toggle(
                                "mute",
                                "mute",
                                "This lane is left out of the picture. Key: M",
                                LaneState::mute,
                                LaneState::withMute),
                        toggle(
                                "hold",
                                "still",
                                "This lane takes no part in movement. Key: G",
                                LaneState::hold,
                                LaneState::withHold));
        switches.setTranslateX(-5);
        Label feed = new Label(feed(state.feed()));
        feed.getStyleClass().add("quiet");
        feed.setId(kind.id() + "-feed");
        feed.setMinWidth(0);
        feed.setTooltip(new Tooltip(feed.getText()));
        getChildren().addAll(new Badge(kind), new VBox(4, new HBox(6, name, feed), switches));
        getStyleClass().add("lane-head");
        setOnMousePressed(e -> session.selectLane(lane));
    }

    /** What a lane is taken from, in as few words as can be; nothing for its own picture. */
    private String feed(Feed feed) {
        long frames = Math.round(feed.delayFrames().rest());
        String late =
                feed.delayFrames().isMoving()
                        ? "late"
                        : frames == 0 ? "" : Math.abs(frames) + (frames > 0 ? " late" : " early");
        String other =
                session.project().source(feed.source()).map(s -> "of " + s.name()).orElse("");
        return (other + " " + late).strip();
    }

    private ToggleButton toggle(
            String id,
            String word,
            String help,
            Predicate<LaneState> is,
            BiFunction<LaneState, Boolean, LaneState> with) {
        ToggleButton button = new ToggleButton(word);
        button.getStyleClass().setAll("switch");
        button.setId(kind.id() + "-" + id);
        button.setSelected(is.test(state));
        button.setTooltip(new Tooltip(help));
        button.setMinWidth(USE_PREF_SIZE);
        button.setOnAction(
                e -> {
                    boolean on = button.isSelected();
                    String name = (on ? "" : "Undo ") + word + " " + kind.title();
                    session.editLook(
                            Character.toUpperCase(name.charAt(0)) + name.substring(1),
                            l -> l.withLane(lane, s -> with.apply(s, on)));
                });
        return button;
    }
}
