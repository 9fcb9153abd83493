package ivrik.app.closeup;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

import java.util.Locale;
import java.util.function.Consumer;

/** Small parts that the close-ups are put together from. */
final class Controls {
    private Controls() {}

    static Label quiet(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("quiet");
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
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
