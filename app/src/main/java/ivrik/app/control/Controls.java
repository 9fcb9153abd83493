package ivrik.app.control;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Small parts that the close-ups are put together from. */
public final class Controls {
    private static final String CHOSEN = "chosen";
    private static final String TICKED = "ticked";

    private Controls() {}

    /** A number with no more digits than it has. */
    public static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    public static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** Some sentences in small type. */
    public static Label hint(String text) {
        Label hint = new Label(text);
        hint.getStyleClass().add("quiet");
        hint.setWrapText(true);
        return hint;
    }

    /** Does something once. */
    public static Button button(String id, String word, String help, Runnable action) {
        Button button = new Button(word);
        button.setId(id);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(e -> action.run());
        return button;
    }

    /** Says what a control is for. */
    public static void explain(Control control, String help) {
        control.setTooltip(new Tooltip(help));
    }

    /** A word that can be chosen among others. */
    public static ToggleButton toggle(String id, String word, String help) {
        ToggleButton button = new ToggleButton(word);
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        return button;
    }

    /** A menu that looks like a word; its text is set by whoever shows the value. */
    public static MenuButton menu(String id, String help) {
        MenuButton button = new MenuButton();
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setTooltip(new Tooltip(help));
        return button;
    }

    /** A menu whose items are made when it is opened. */
    public static MenuButton menu(String id, String help, Supplier<List<MenuItem>> items) {
        MenuButton button = menu(id, help);
        button.getItems().add(new MenuItem(""));
        button.setOnShowing(e -> button.getItems().setAll(items.get()));
        return button;
    }

    public static MenuItem item(String title, Runnable action) {
        MenuItem item = new MenuItem(title);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> action.run());
        return item;
    }

    /** An item that says whether it is what is chosen at present; one that reads as its menu does need not. */
    public static MenuItem item(String title, boolean isChosen, Runnable action) {
        MenuItem item = item(title, action);
        item.getProperties().put(CHOSEN, isChosen);
        return item;
    }

    public static boolean isChosen(MenuItem item) {
        return Boolean.TRUE.equals(item.getProperties().get(CHOSEN));
    }

    /** Shows a tick before an item, or none. */
    public static void tick(MenuItem item, boolean is) {
        item.getStyleClass().remove(TICKED);
        if (is) {
            item.getStyleClass().add(TICKED);
            Region tick = new Region();
            tick.getStyleClass().add("tick");
            item.setGraphic(tick);
        } else if (item.getGraphic() != null
                && item.getGraphic().getStyleClass().contains("tick")) {
            item.setGraphic(null);
        }
    }

    /** A kind as it is written in files. */
    public static String word(Enum<?> kind) {
        return kind.name().toLowerCase(Locale.ROOT);
    }

    /** A menu of all kinds; its text is set by whoever shows the value. */
    public static <T extends Enum<T>> MenuButton choice(String help, T[] all, Consumer<T> set) {
        MenuButton button = new MenuButton();
        button.getStyleClass().add("plain");
        button.setTooltip(new Tooltip(help));
        for (T each : all) {
            button.getItems().add(item(word(each), () -> set.accept(each)));
        }
        return button;
    }

    /** Nodes on one line, the space between them shared. */
    public static HBox row(Node... nodes) {
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

    /** Whether an event is of a divider of these very parts. */
    public static boolean isDivider(MouseEvent e, SplitPane parts) {
        for (Node at = (Node) e.getTarget(); at != null && at != parts; at = at.getParent()) {
            if (at.getParent() == parts && at.getStyleClass().contains("split-pane-divider")) {
                return true;
            }
        }
        return false;
    }
}
