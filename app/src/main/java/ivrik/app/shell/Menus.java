package ivrik.app.shell;

import ivrik.app.widget.Controls;

import javafx.event.Event;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.stage.Window;

/**
 * Menus in place of text: the present choice is ticked, lies under the pointer and has the initial focus.
 */
final class Menus {
    private Menus() {}

    static void install(Scene scene) {
        new SecondPress(scene).guard();
        scene.addEventHandler(MenuButton.ON_SHOWING, e -> button(e, Menus::tick));
        scene.addEventHandler(MenuButton.ON_SHOWN, e -> button(e, Menus::place));
    }

    /** Whether any menu is open and receives the keys. */
    static boolean areOpen() {
        return Window.getWindows().stream()
                .anyMatch(w -> w instanceof ContextMenu && w.isShowing());
    }

    private static void button(Event e, java.util.function.Consumer<MenuButton> what) {
        if (e.getTarget() instanceof MenuButton button) {
            what.accept(button);
        }
    }

    private static void tick(MenuButton button) {
        for (MenuItem item : button.getItems()) {
            Controls.tick(item, Controls.isChosen(button, item));
        }
    }

    private static void place(MenuButton button) {
        MenuItem chosen =
                button.getItems().stream()
                        .filter(item -> Controls.isChosen(button, item))
                        .findFirst()
                        .orElse(null);
        if (chosen == null
                || chosen.getStyleableNode() == null
                || !(chosen.getParentPopup() instanceof ContextMenu menu)) {
            return;
        }
        Node line = chosen.getStyleableNode();
        Bounds there = line.localToScreen(line.getLayoutBounds());
        Bounds word = button.localToScreen(button.getLayoutBounds());
        if (there != null && word != null) {
            menu.setAnchorY(menu.getAnchorY() + word.getCenterY() - there.getCenterY());
        }
        line.requestFocus();
    }
}
