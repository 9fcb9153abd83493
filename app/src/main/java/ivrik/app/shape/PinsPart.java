package ivrik.app.shape;

import static ivrik.app.control.Controls.hint;
import static ivrik.app.control.Controls.row;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.State;
import ivrik.app.session.View;
import ivrik.core.treatment.Pins;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.VBox;

/** How many pins the lane being worked on has, and how they are set. */
final class PinsPart extends VBox {
    private final Label count = new Label();

    PinsPart(Session session, View view) {
        super(6);
        Button remove = new Button("remove the last");
        remove.getStyleClass().add("plain");
        remove.setId("remove-pin");
        remove.setTooltip(new Tooltip("Takes away the pin that was set last"));
        remove.setOnAction(
                e ->
                        session.editLook(
                                "Remove a pin",
                                look ->
                                        look.withAmounts(
                                                session.state().stepId(),
                                                LaneEdits.share(session.state()),
                                                a -> {
                                                    int n = a.count(Pins.SERIES);
                                                    return n == 0
                                                            ? a
                                                            : a.withoutThing(Pins.SERIES, n - 1);
                                                })));
        count.setId("pin-count");
        getChildren()
                .addAll(
                        row(count, remove),
                        hint(
                                "Double-click the picture to set a pin in the lane being worked on,"
                                    + " and drag it. With Shift a drag moves where it stands; the"
                                    + " right button takes it away."));
    }

    void show(State state) {
        int n =
                state.step()
                        .map(s -> s.lanes().get(LaneEdits.share(state)).count(Pins.SERIES))
                        .orElse(0);
        String lane = LaneEdits.shares(state).get(LaneEdits.share(state)).title();
        count.setText(lane + (n == 1 ? " has 1 pin" : " has " + n + " pins"));
    }
}
