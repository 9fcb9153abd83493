package ivrik.app.desk;

import ivrik.app.control.Controls;
import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Peg;

import javafx.geometry.Pos;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.HBox;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** The numbers of the one peg that is picked: its frame, its value, and the ease that leaves it. */
final class PegStrip extends HBox {
    private static final double FAR = 1e9;

    private final PegHands hands;
    private final NumberField frame;
    private final NumberField value;
    private final MenuButton ease;
    private final NumberField[] handles = new NumberField[4];

    PegStrip(Session session, View view, PegHands hands) {
        super(2);
        this.hands = hands;
        setAlignment(Pos.CENTER_LEFT);
        frame =
                number(
                        "peg-frame",
                        new NumberField.Spec("", -1e8, 1e8, 0, 1, 0, false),
                        "The frame of the peg",
                        to -> hands.changeOnly("Move peg", p -> p.withFrame(Math.round(to))));
        value =
                number(
                        "peg-value",
                        new NumberField.Spec("", -FAR, FAR, 0, 0.5, 2, true),
                        "The value of the peg",
                        to -> hands.changeOnly("Value of a peg", p -> p.withValue(to)));
        ease = Controls.menu("peg-ease", "How it goes on from here to the next peg");
        ease.getItems()
                .addAll(
                        Controls.item("hold", () -> hands.ease(Ease.HOLD)),
                        Controls.item("linear", () -> hands.ease(Ease.LINEAR)),
                        Controls.item("eased", () -> hands.ease(Ease.SMOOTH)));
        getChildren().addAll(Controls.quiet("peg"), frame, value, ease);
        String[] help = {
            "Time of the handle that leaves, 0 to 1 of the way in time",
            "Height of the handle that leaves, 1 is the next peg's",
            "Time of the handle that arrives",
            "Height of the handle that arrives"
        };
        for (int i = 0; i < handles.length; i++) {
            int number = i;
            boolean time = i % 2 == 0;
            handles[i] =
                    number(
                            "peg-handle-" + i,
                            new NumberField.Spec(
                                    "", time ? 0 : -2, time ? 1 : 3, 0, 0.05, 2, false),
                            help[i],
                            to -> handle(number, to));
            getChildren().add(handles[i]);
        }
        session.stateProperty().addListener((o, a, b) -> show());
        view.traced.addListener((o, a, b) -> show());
        hands.onPicked(this::show);
        show();
    }

    private static NumberField number(
            String id, NumberField.Spec spec, String help, NumberField.Listener set) {
        NumberField field = new NumberField(spec, help, set);
        field.setId(id);
        return field;
    }

    private void handle(int number, double to) {
        UnaryOperator<Peg> change =
                p -> {
                    if (!(p.ease() instanceof Ease.Eased e)) {
                        return p;
                    }
                    double[] all = {e.x1(), e.y1(), e.x2(), e.y2()};
                    all[number] = to;
                    return p.withEase(new Ease.Eased(all[0], all[1], all[2], all[3]));
                };
        hands.changeOnly("Ease of a peg", change);
    }

    private void show() {
        Optional<Peg> peg = hands.onlyPeg();
        setVisible(peg.isPresent());
        setManaged(peg.isPresent());
        peg.ifPresent(this::show);
    }

    private void show(Peg peg) {
        frame.show(peg.frame());
        value.show(peg.value());
        double[] all = {};
        switch (peg.ease()) {
            case Ease.Hold h -> ease.setText("hold");
            case Ease.Linear l -> ease.setText("linear");
            case Ease.Eased e -> {
                ease.setText("eased");
                all = new double[] {e.x1(), e.y1(), e.x2(), e.y2()};
            }
        }
        for (int i = 0; i < handles.length; i++) {
            handles[i].setVisible(all.length > 0);
            handles[i].setManaged(all.length > 0);
            if (all.length > 0) {
                handles[i].show(all[i]);
            }
        }
    }
}
