package ivrik.app.desk;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.widget.Controls;
import ivrik.app.widget.NumberField;
import ivrik.core.motion.Ease;
import ivrik.core.motion.Keyframe;

import javafx.geometry.Pos;
import javafx.scene.control.MenuButton;
import javafx.scene.layout.HBox;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** Fields for the selected keyframe: frame, value and easing. */
final class KeyframeStrip extends HBox {
    private static final double FAR = 1e9;

    private final KeyframeActions hands;
    private final NumberField frame;
    private final NumberField value;
    private final MenuButton ease;
    private final NumberField[] handles = new NumberField[4];

    KeyframeStrip(Session session, View view, KeyframeActions hands) {
        super(2);
        this.hands = hands;
        setAlignment(Pos.CENTER_LEFT);
        frame =
                number(
                        "keyframe-frame",
                        new NumberField.Spec("", -1e8, 1e8, 0, 1, 0, false),
                        "Frame of the keyframe",
                        to -> hands.changeOnly("Move keyframe", p -> p.withFrame(Math.round(to))));
        value =
                number(
                        "keyframe-value",
                        new NumberField.Spec("", -FAR, FAR, 0, 0.5, 2, true),
                        "Value of the keyframe",
                        to -> hands.changeOnly("Change keyframe value", p -> p.withValue(to)));
        ease =
                Controls.menu(
                        "keyframe-ease",
                        "Interpolation to the next keyframe: hold, linear or ease");
        ease.getItems()
                .addAll(
                        Controls.item(Ease.Hold.class, "hold", () -> hands.ease(Ease.HOLD)),
                        Controls.item(Ease.Linear.class, "linear", () -> hands.ease(Ease.LINEAR)),
                        Controls.item(Ease.Eased.class, "ease", () -> hands.ease(Ease.SMOOTH)));
        getChildren().addAll(Controls.quiet("keyframe"), frame, value, ease);
        String[] help = {
            "Outgoing handle, time: 0 is this keyframe, 1 the next",
            "Outgoing handle, value: 0 is this keyframe, 1 the next",
            "Incoming handle, time: 0 is this keyframe, 1 the next",
            "Incoming handle, value: 0 is this keyframe, 1 the next"
        };
        for (int i = 0; i < handles.length; i++) {
            int number = i;
            boolean time = i % 2 == 0;
            handles[i] =
                    number(
                            "keyframe-handle-" + i,
                            new NumberField.Spec(
                                    "", time ? 0 : -2, time ? 1 : 3, 0, 0.05, 2, false),
                            help[i],
                            to -> handle(number, to));
            getChildren().add(handles[i]);
        }
        session.stateProperty().addListener((o, a, b) -> show());
        view.graphed.addListener((o, a, b) -> show());
        hands.onSelected(this::show);
        show();
    }

    private static NumberField number(
            String id, NumberField.Spec spec, String help, NumberField.Listener set) {
        NumberField field = new NumberField(spec, help, set);
        field.setId(id);
        return field;
    }

    private void handle(int number, double to) {
        UnaryOperator<Keyframe> change =
                p -> {
                    if (!(p.ease() instanceof Ease.Eased e)) {
                        return p;
                    }
                    double[] all = {e.x1(), e.y1(), e.x2(), e.y2()};
                    all[number] = to;
                    return p.withEase(new Ease.Eased(all[0], all[1], all[2], all[3]));
                };
        hands.changeOnly("Change keyframe ease", change);
    }

    private void show() {
        Optional<Keyframe> keyframe = hands.onlyKeyframe();
        setVisible(keyframe.isPresent());
        setManaged(keyframe.isPresent());
        keyframe.ifPresent(this::show);
    }

    private void show(Keyframe keyframe) {
        frame.show(keyframe.frame());
        value.show(keyframe.value());
        double[] all = {};
        Class<?> kind = keyframe.ease().getClass();
        switch (keyframe.ease()) {
            case Ease.Hold h -> Controls.show(ease, kind, "hold");
            case Ease.Linear l -> Controls.show(ease, kind, "linear");
            case Ease.Eased e -> {
                Controls.show(ease, kind, "ease");
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
