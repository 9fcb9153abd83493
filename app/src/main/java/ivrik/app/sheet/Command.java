package ivrik.app.sheet;

import ivrik.app.widget.Controls;

import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCombination;

import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * A command: an item of a menu and of the command list, with an optional key.
 *
 * @param keywords further words for search
 * @param name may depend on the state, as in {@code Undo Nudge Red}
 * @param goesOn whether holding the key repeats the command
 */
public record Command(
        String id,
        String menu,
        Supplier<String> name,
        KeyCombination key,
        Runnable action,
        BooleanSupplier enabled,
        String keywords,
        boolean goesOn) {
    /** A command without a key. */
    public Command(
            String id,
            String menu,
            Supplier<String> name,
            Runnable action,
            BooleanSupplier enabled,
            String keywords) {
        this(id, menu, name, null, action, enabled, keywords, false);
    }

    /** Whether the command deletes something; such commands are last in their menu. */
    public boolean isDestructive() {
        return id.startsWith("delete-") || id.startsWith("remove-");
    }

    public String title() {
        return name.get();
    }

    public String keyText() {
        return key == null ? "" : key.getDisplayText();
    }

    /** A menu item for the present state. */
    public MenuItem item() {
        MenuItem item = Controls.item(title(), this::run);
        item.setAccelerator(key);
        item.setDisable(!enabled.getAsBoolean());
        return item;
    }

    public void run() {
        if (enabled.getAsBoolean()) {
            action.run();
        }
    }
}
