package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.sheet.Command;

import javafx.beans.property.BooleanProperty;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyCombination.Modifier;

import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/** Part of the list of commands: adds them under the menu that is begun. */
abstract class CommandMenu {
    static final Modifier CTRL = KeyCombination.SHORTCUT_DOWN;
    static final Modifier SHIFT = KeyCombination.SHIFT_DOWN;

    static final BooleanSupplier ALWAYS = () -> true;

    final MainWindow window;
    final Session session;
    final View view;
    final List<Command> all;

    /** The menu under which commands are added. */
    String menu;

    CommandMenu(MainWindow window, List<Command> all) {
        this.window = window;
        this.session = window.session();
        this.view = window.view();
        this.all = all;
    }

    final boolean any() {
        return !session.project().layers().isEmpty();
    }

    final void add(String title, KeyCombination key, Runnable action) {
        add(title, key, action, ALWAYS);
    }

    final void add(String title, KeyCombination key, Runnable action, BooleanSupplier enabled) {
        named(title, () -> title, key, action, enabled);
    }

    final void flag(String title, KeyCombination key, BooleanProperty flag) {
        add(title, key, () -> flag.set(!flag.get()));
    }

    final void named(
            String id,
            Supplier<String> name,
            KeyCombination key,
            Runnable action,
            BooleanSupplier enabled) {
        named(id, name, key, action, enabled, false);
    }

    private void named(
            String id,
            Supplier<String> name,
            KeyCombination key,
            Runnable action,
            BooleanSupplier enabled,
            boolean goesOn) {
        all.add(new Command(id, menu, name, key, action, enabled, "", goesOn));
    }

    /** Something that is done again and again while its key is held down. */
    final void goingOn(
            String id,
            Supplier<String> name,
            KeyCombination key,
            Runnable action,
            BooleanSupplier enabled) {
        named(id, name, key, action, enabled, true);
    }

    final void goingOn(String title, KeyCombination key, Runnable action, BooleanSupplier enabled) {
        goingOn(title, () -> title, key, action, enabled);
    }

    static KeyCombination key(KeyCode code, Modifier... modifiers) {
        return new KeyCodeCombination(code, modifiers);
    }
}
