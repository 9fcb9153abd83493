package ivrik.app.shape;

import static ivrik.app.widget.Controls.hint;
import static ivrik.app.widget.Controls.row;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.treatment.PinWarp;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

/** Number of pins of the selected channel, and how to set them. */
final class PinsPart extends VBox {
    private final Label count = new Label();

    PinsPart(Session session, View view) {
        super(6);
        Button remove = new Button("delete last pin");
        remove.getStyleClass().add("plain");
        remove.setId("remove-pin");
        remove.setTooltip(new Tooltip("Deletes the pin that was set last"));
        remove.setOnAction(
                e ->
                        session.editLook(
                                "Delete pin",
                                look ->
                                        look.withSettings(
                                                session.state().stepId(),
                                                ChannelEdits.share(session.state()),
                                                a -> {
                                                    int n = a.count(PinWarp.SERIES);
                                                    return n == 0
                                                            ? a
                                                            : a.withoutItem(PinWarp.SERIES, n - 1);
                                                })));
        count.setId("pin-count");
        getChildren()
                .addAll(
                        row(count, remove),
                        hint(
                                "Double-click the picture to add a pin in the selected channel;"
                                    + " drag it to warp. Shift+drag moves the pin without warping;"
                                    + " right-click deletes it."));
    }

    void show(State state) {
        int n =
                state.step()
                        .map(s -> s.channels().get(ChannelEdits.share(state)).count(PinWarp.SERIES))
                        .orElse(0);
        String channel = ChannelEdits.shares(state).get(ChannelEdits.share(state)).title();
        count.setText(channel + (n == 1 ? " has 1 pin" : " has " + n + " pins"));
    }
}
