package ivrik.app.widget;

import ivrik.core.motion.Rational;

import javafx.geometry.HPos;
import javafx.geometry.Insets;
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
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Factories of small controls. */
public final class Controls {
    private static final String CHOSEN = "chosen";
    private static final String TICKED = "ticked";

    private Controls() {}

    /** A number without trailing zeros. */
    public static String plain(double value) {
        return BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    public static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    /** A quiet label above a column of numbers, aligned with them and apart from its neighbours. */
    public static Label columnTitle(String text) {
        Label label = quiet(text);
        label.setPadding(new Insets(0, 6, 0, 6));
        GridPane.setHalignment(label, HPos.RIGHT);
        return label;
    }

    /** A frame rate, such as 24 or 23.976. */
    public static String rate(Rational rate) {
        double perSecond = rate.toDouble();
        return perSecond == Math.rint(perSecond)
                ? Long.toString((long) perSecond)
                : String.format(Locale.ROOT, "%.3f", perSecond);
    }

    /** Explanatory text in a small font. */
    public static Label hint(String text) {
        Label hint = new Label(text);
        hint.getStyleClass().add("quiet");
        hint.setWrapText(true);
        return hint;
    }

    /** A button. */
    public static Button button(String id, String title, String help, Runnable action) {
        Button button = new Button(title);
        button.setId(id);
        button.setTooltip(new Tooltip(help));
        button.setOnAction(e -> action.run());
        return button;
    }

    /** Sets tooltip and accessible help. */
    public static void explain(Control control, String help) {
        control.setTooltip(new Tooltip(help));
    }

    /** A toggle button. */
    public static ToggleButton toggle(String id, String title, String help) {
        ToggleButton button = new ToggleButton(title);
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setTooltip(new Tooltip(help));
        return button;
    }

    /** A menu that looks like text; {@link #show} sets its value. */
    public static MenuButton menu(String id, String help) {
        MenuButton button = new MenuButton();
        button.getStyleClass().add("plain");
        button.setId(id);
        button.setTooltip(new Tooltip(help));
        return button;
    }

    /** A menu whose items are created when it opens. */
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

    /** An item that stands for a value; ticked while its menu shows that value. */
    public static MenuItem item(Object value, String title, Runnable action) {
        MenuItem item = item(title, action);
        item.setUserData(value);
        return item;
    }

    /** Shows the value that a menu stands for. */
    public static void show(MenuButton menu, Object value, String title) {
        menu.setUserData(value);
        menu.setText(title);
    }

    /** An item with a tick if chosen, for items that are created when the menu opens. */
    public static MenuItem item(String title, boolean isChosen, Runnable action) {
        MenuItem item = item(title, action);
        item.getProperties().put(CHOSEN, isChosen);
        return item;
    }

    public static boolean isChosen(MenuButton menu, MenuItem item) {
        return Boolean.TRUE.equals(item.getProperties().get(CHOSEN))
                || item.getUserData() != null && item.getUserData().equals(menu.getUserData());
    }

    /** Sets or removes the tick of an item. */
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

    /** An enum constant as text. */
    public static String text(Enum<?> kind) {
        return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** A menu of all constants; {@link #show} sets the present one. */
    public static <T extends Enum<T>> MenuButton choice(String help, T[] all, Consumer<T> set) {
        MenuButton button = new MenuButton();
        button.getStyleClass().add("plain");
        button.setTooltip(new Tooltip(help));
        for (T each : all) {
            button.getItems().add(item(each, text(each), () -> set.accept(each)));
        }
        return button;
    }

    /** Nodes in a row, evenly spaced. */
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

    /** Whether an event belongs to a divider of this split pane. */
    public static boolean isDivider(MouseEvent e, SplitPane parts) {
        for (Node at = (Node) e.getTarget(); at != null && at != parts; at = at.getParent()) {
            if (at.getParent() == parts && at.getStyleClass().contains("split-pane-divider")) {
                return true;
            }
        }
        return false;
    }
}
