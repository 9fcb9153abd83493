package ivrik.app.widget;

import javafx.animation.PauseTransition;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;

import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A number that is dragged, stepped with the arrow keys, or typed (including sums); empty text sets the
 * default. A digit, Enter or a double-click opens the field for typing, Tab opens the next number of the
 * window. Enter ends typing and Escape restores the former value; both leave the field, see {@link
 * EditingDone}. The field shows the value it is given and reports requested values.
 */
public final class NumberField extends StackPane {
    /** Values with more decimals, such as those between keyframes, are shown rounded. */
    private static final int MAX_DECIMALS = 4;

    private static final double ROUNDING = 1e-6;
    private static final double DRAG_PIXELS_PER_STEP = 4;

    /** Visible characters while typing. */
    private static final int TYPED = 6;

    private static final Set<KeyCode> SIGNS =
            EnumSet.of(
                    KeyCode.MINUS,
                    KeyCode.PERIOD,
                    KeyCode.COMMA,
                    KeyCode.ADD,
                    KeyCode.SUBTRACT,
                    KeyCode.DECIMAL);

    private static final Duration PULSE = Duration.millis(20);
    private static final int TRIES = 20;

    private static final Duration SAID = Duration.seconds(3);

    private final Spec spec;
    private final Label label = new Label();
    private final Listener listener;

    /** The text field while typing; null otherwise, because there are many numbers. */
    private TextField editor;

    /** Node on the right that the text field opens over; null to open to the left. */
    private Node covered;

    private double value;
    private double pressedAt;
    private double pressedValue;
    private boolean dragging;

    /** The text that was offered for editing. */
    private String offered = "";

    /**
     * Properties of the number.
     *
     * @param signed whether to show a plus sign
     */
    public record Spec(
            String unit,
            double min,
            double max,
            double rest,
            double step,
            int decimals,
            boolean signed) {}

    /** Receives requested values. */
    public interface Listener {
        /** A drag starts. */
        default void begin() {}

        /** A drag requests a value. */
        default void drag(double to) {
            set(to);
        }

        /** A value is requested. */
        void set(double to);
    }

    public NumberField(Spec spec, String help, Listener listener) {
        this.spec = spec;
        this.listener = listener;
        getStyleClass().add("number-field");
        label.getStyleClass().add("number");
        label.setMinWidth(USE_PREF_SIZE);
        getChildren().add(label);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SPINNER);
        setAccessibleText(help);
        TooltipText.install(
                this,
                () ->
                        help
                                + "\n"
                                + "Drag, press the arrow keys, or type a value or a sum\n"
                                + "Tab opens the next number\n"
                                + "Leave empty for the default, "
                                + text(spec.rest())
                                + "\n"
                                + range());
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::dragged);
        addEventHandler(MouseEvent.MOUSE_CLICKED, this::clicked);
        addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
        show(spec.rest());
    }

    /** Shows a value without notifying the listener. */
    public void show(double v) {
        value = v;
        label.setText(text(v));
    }

    public double value() {
        return value;
    }

    public String text() {
        return label.getText();
    }

    private String text(double v) {
        String number =
                String.format(
                        Locale.ROOT,
                        (spec.signed() && v != 0 ? "%+" : "%") + "." + decimals(v) + "f",
                        v == 0 ? 0.0 : v);
        return spec.unit().isEmpty() ? number : number + " " + spec.unit();
    }

    /** Decimals of a value: those of the field, or more if the value is exact with at most MAX_DECIMALS. */
    private int decimals(double v) {
        for (int decimals = spec.decimals(); decimals <= MAX_DECIMALS; decimals++) {
            double scaled = v * Math.pow(10, decimals);
            if (Math.abs(scaled - Math.rint(scaled)) < ROUNDING) {
                return decimals;
            }
        }
        return spec.decimals();
    }

    private double clamp(double v) {
        return Math.clamp(v, spec.min(), spec.max());
    }

    private void pressed(MouseEvent e) {
        if (editor == null) {
            requestFocus();
            pressedAt = e.getScreenX();
            pressedValue = value;
            dragging = false;
            e.consume();
        }
    }

    private void dragged(MouseEvent e) {
        if (editor != null || e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        double steps = Math.rint((e.getScreenX() - pressedAt) / DRAG_PIXELS_PER_STEP);
        if (!dragging && steps == 0) {
            return;
        }
        if (!dragging) {
            dragging = true;
            listener.begin();
        }
        double fine = e.isAltDown() ? 0.1 : e.isShiftDown() ? 10 : 1;
        listener.drag(clamp(pressedValue + steps * fine * spec.step()));
        e.consume();
    }

    private void clicked(MouseEvent e) {
        if (e.getClickCount() > 0 && e.getClickCount() % 2 == 0 && !dragging && editor == null) {
            edit();
        }
    }

    private void keyPressed(KeyEvent e) {
        if (editor != null) {
            if (e.getCode() == KeyCode.ESCAPE) {
                stopEditing();
                leave(getScene());
                e.consume();
            }
            return;
        }
        int direction = e.getCode() == KeyCode.UP ? 1 : e.getCode() == KeyCode.DOWN ? -1 : 0;
        if (direction != 0) {
            double size = e.isAltDown() ? 0.1 : e.isShiftDown() ? 10 : 1;
            listener.set(clamp(value + direction * size * spec.step()));
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER || beginsNumber(e)) {
            edit(); // the typed character replaces the selected text
            e.consume();
        }
    }

    private static boolean beginsNumber(KeyEvent e) {
        if (e.isShortcutDown() || e.isAltDown() || e.isMetaDown()) {
            return false;
        }
        boolean isKey = e.getCode().isDigitKey() || SIGNS.contains(e.getCode());
        return isKey && !e.isShiftDown() || e.getText().matches("[-+.,0-9]");
    }

    /** Leaves the field; it keeps the focus where the window does not take it, as in a sheet. */
    private void leave(Scene scene) {
        scene.getRoot().requestFocus();
        EditingDone.fire(scene.getRoot());
        if (scene.getFocusOwner() == scene.getRoot()) {
            requestFocus();
        }
    }

    /** Opens the next or previous number of the window; a number behind the last is the first. */
    private void openNext(boolean back) {
        List<NumberField> numbers = numbers(getScene().getRoot()).toList();
        int by = back ? numbers.size() - 1 : 1;
        String next = numbers.get((numbers.indexOf(this) + by) % numbers.size()).getId();
        Parent root = getScene().getRoot();
        commit();
        openWhenBuilt(root, next, TRIES);
    }

    /** Opens a number; controls that the last value has replaced are built over the next pulses. */
    private static void openWhenBuilt(Parent root, String id, int tries) {
        numbers(root)
                .filter(n -> n.getId().equals(id))
                .findFirst()
                .ifPresentOrElse(
                        NumberField::edit,
                        () -> {
                            if (tries > 0) {
                                PauseTransition pulse = new PauseTransition(PULSE);
                                pulse.setOnFinished(e -> openWhenBuilt(root, id, tries - 1));
                                pulse.play();
                            }
                        });
    }

    private static Stream<NumberField> numbers(Node node) {
        if (!node.isVisible() || node.isDisabled()) {
            return Stream.empty();
        }
        if (node instanceof NumberField number) {
            boolean isStop = number.getId() != null && number.isFocusTraversable();
            return isStop ? Stream.of(number) : Stream.empty();
        }
        return node instanceof Parent parent
                ? parent.getChildrenUnmodifiable().stream().flatMap(NumberField::numbers)
                : Stream.empty();
    }

    private void edit() {
        offered = text(value).replace(spec.unit(), "").strip();
        editor = new TextField(offered);
        editor.setOnAction(
                e -> {
                    Scene scene = getScene(); // committing may replace this field
                    commit();
                    leave(scene);
                });
        editor.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.TAB) {
                        openNext(e.isShiftDown());
                        e.consume();
                    }
                });
        editor.setPrefColumnCount(TYPED);
        editor.setManaged(false);
        getChildren().add(editor);
        label.setVisible(false);
        if (covered != null) {
            covered.setVisible(false);
        }
        place(editor);
        editor.requestFocus();
        editor.selectAll();
        editor.focusedProperty()
                .addListener(
                        (o, was, is) -> {
                            if (!is && editor != null) {
                                commit();
                            }
                        });
    }

    /** Places the text field over the number without moving other nodes. */
    private void place(TextField field) {
        field.applyCss();
        double width = Math.max(getWidth(), field.prefWidth(-1));
        double height = field.prefHeight(width);
        double x = covered == null ? getWidth() - width : 0;
        field.resizeRelocate(x, (getHeight() - height) / 2, width, height);
    }

    /**
     * Opens the text field over the node on the right, which is hidden meanwhile, instead of to the left.
     */
    public void openOver(Node right) {
        covered = right;
    }

    private void commit() {
        String text = editor.getText();
        stopEditing();
        if (text.equals(offered)) {
            return; // the value may have more decimals than the text
        }
        if (text.isBlank()) {
            listener.set(spec.rest());
            return;
        }
        Arithmetic.of(text)
                .ifPresentOrElse(
                        v -> {
                            listener.set(clamp(v));
                            if (clamp(v) != v) {
                                say(range());
                            }
                        },
                        () -> say("Not a number: " + text.strip()));
    }

    private String range() {
        return "Range: " + text(spec.min()) + " to " + text(spec.max());
    }

    /** Shows a message beside the field for a while. */
    private void say(String message) {
        Tooltip said = new Tooltip(message);
        Point2D at = localToScreen(0, getHeight() + 4);
        if (at != null) {
            said.show(this, at.getX(), at.getY());
            PauseTransition shown = new PauseTransition(SAID);
            shown.setOnFinished(e -> said.hide());
            shown.play();
        }
    }

    private void stopEditing() {
        TextField done = editor;
        editor = null; // first, because removing the field removes its focus, which would commit
        getChildren().remove(done);
        label.setVisible(true);
        if (covered != null) {
            covered.setVisible(true);
        }
    }
}
