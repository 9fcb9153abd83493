package ivrik.app.shape;

import ivrik.app.session.Session;
import ivrik.app.widget.NumberField;
import ivrik.core.look.Look;

import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;

/** Number fields of the selected look. */
public final class LookNumber {
    private LookNumber() {}

    /**
     * A number of the look; a drag is one undo step.
     *
     * @param name name of the undo step
     * @param change edit for a new value
     */
    public static NumberField field(
            String id,
            NumberField.Spec spec,
            String help,
            Session session,
            String name,
            DoubleFunction<UnaryOperator<Look>> change) {
        NumberField field =
                new NumberField(
                        spec,
                        help,
                        new NumberField.Listener() {
                            private Session.Gesture gesture;

                            @Override
                            public void begin() {
                                gesture = session.gesture(name);
                            }

                            @Override
                            public void drag(double to) {
                                gesture.editLook(change.apply(to));
                            }

                            @Override
                            public void set(double to) {
                                session.editLook(name, change.apply(to));
                            }
                        });
        field.setId(id);
        return field;
    }
}
