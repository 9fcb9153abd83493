package ivrik.app.sheet;

import ivrik.app.control.Controls;

import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCombination;

import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * Something that can be done: it stands in a menu, in the command list, and on a key if it has one.
 *
 * @param words other words by which it is found
 * @param name may say what it is about at the moment, as in {@code Undo Nudge Red}
 * @param goesOn done again and again while its key is held down; else once
 */
public record Command(
        String id,
        String menu,
        Supplier<String> name,
        KeyCombination key,
        Runnable action,
        BooleanSupplier enabled,
        String words,
        boolean goesOn) {
    /** Without a key. */
    public Command(
            String id,
            String menu,
            Supplier<String> name,
            Runnable action,
            BooleanSupplier enabled,
            String words) {
        this(id, menu, name, null, action, enabled, words, false);
    }

    public String title() {
        return name.get();
    }

    public String keyText() {
        return key == null ? "" : key.getDisplayText();
    }

    /** As a line of a menu, as it is now. */
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
