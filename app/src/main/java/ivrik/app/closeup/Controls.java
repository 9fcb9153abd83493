package ivrik.app.closeup;

import ivrik.app.control.NumberField;
import ivrik.app.session.Session;
import ivrik.core.look.Look;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;

/** Small parts that the close-ups are put together from. */
final class Controls {
    private Controls() {}

    static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** A word that can be chosen among others. */
    static ToggleButton toggle(String id, String word, String help) {
        ToggleButton button = new ToggleButton(word);
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        return button;
    }

    /** A menu that looks like a word; its text is set by whoever shows the value. */
    static MenuButton menu(String id, String help) {
        MenuButton button = new MenuButton();
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setTooltip(new Tooltip(help));
        return button;
    }

    /** A menu whose items are made when it is opened. */
    static MenuButton menu(String id, String help, Supplier<List<MenuItem>> items) {
        MenuButton button = menu(id, help);
        button.getItems().add(new MenuItem(""));
        button.setOnShowing(e -> button.getItems().setAll(items.get()));
        return button;
    }

    static MenuItem item(String title, Runnable action) {
        MenuItem item = new MenuItem(title);
        item.setOnAction(e -> action.run());
        return item;
    }

    /** A kind as it is written in files. */
    static String word(Enum<?> kind) {
        return kind.name().toLowerCase(Locale.ROOT);
    }

    /** A menu of all kinds; its text is set by whoever shows the value. */
    static <T extends Enum<T>> MenuButton choice(String help, T[] all, Consumer<T> set) {
        MenuButton button = new MenuButton();
        button.getStyleClass().add("plain");
        button.setTooltip(new Tooltip(help));
        for (T each : all) {
            MenuItem item = new MenuItem(word(each));
            item.setOnAction(e -> set.accept(each));
            button.getItems().add(item);
        }
        return button;
    }

    /**
     * A number of the look; a drag is one step.
     *
     * @param name of the edit
     * @param change what setting it to a value does
     */
    static NumberField number(
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

    /** Nodes on one line, the space between them shared. */
    static HBox row(Node... nodes) {
        HBox row = new HBox();
        row.setAlignment(Pos.CENTER_LEFT);
        for (int i = 0; i < nodes.length; i++) {
            if (i > 0) {
                Region gap = new Region();
                HBox.setHgrow(gap, Priority.ALWAYS);
                row.getChildren().add(gap);
            }
            row.getChildren().add(nodes[i]);
        }
        return row;
    }
}
