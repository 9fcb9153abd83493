package ivrik.app.widget;

import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Event of a field that was left by Enter or Escape. The window then gives the keys back to the picture. */
public final class EditingDone {
    public static final EventType<Event> TYPE = new EventType<>(Event.ANY, "EDITING_DONE");

    private EditingDone() {}

    /** Escape restores the text that a field had when it received the focus, and leaves the field. */
    public static void onEscape(TextInputControl field) {
        StringProperty former = new SimpleStringProperty(field.getText());
        field.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (is) {
                                former.set(field.getText());
                            }
                        });
        field.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.ESCAPE) {
                        field.setText(former.get());
                        fire(field);
                        e.consume();
                    }
                });
    }

    static void fire(Node field) {
        field.fireEvent(new Event(TYPE));
    }
}
