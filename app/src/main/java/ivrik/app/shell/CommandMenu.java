package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Band;
import ivrik.app.session.View.Face;
import ivrik.app.sheet.Command;

import javafx.beans.property.BooleanProperty;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyCombination.Modifier;

import java.util.List;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/** Part of the command list: adds commands to the present menu. */
abstract class CommandMenu {
    static final Modifier CTRL = KeyCombination.SHORTCUT_DOWN;
    static final Modifier SHIFT = KeyCombination.SHIFT_DOWN;

    static final BooleanSupplier ALWAYS = () -> true;

    final MainWindow window;
    final Session session;
    final View view;
    final List<Command> all;

    /** The menu that commands are added to. */
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

    final void add(String id, String title, KeyCombination key, Runnable action) {
        add(id, title, key, action, ALWAYS);
    }

    final void add(
            String id, String title, KeyCombination key, Runnable action, BooleanSupplier enabled) {
        named(id, () -> title, key, action, enabled);
    }

    final void flag(String id, String title, KeyCombination key, BooleanProperty flag) {
        add(id, title, key, () -> flag.set(!flag.get()));
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

    /** Adds a command that repeats while its key is held. */
    final void goingOn(
            String id,
            Supplier<String> name,
            KeyCombination key,
            Runnable action,
            BooleanSupplier enabled) {
        named(id, name, key, action, enabled, true);
    }

    final void goingOn(
            String id, String title, KeyCombination key, Runnable action, BooleanSupplier enabled) {
        goingOn(id, () -> title, key, action, enabled);
    }

    /** Shows a face of the controls. */
    final void face(Face face) {
        view.controlsShown.set(true);
        view.face.set(face);
    }

    /** Opens a sheet below the picture, or closes it. */
    final void band(Band band) {
        view.band.set(view.band.get() == band ? Band.NONE : band);
    }

    static KeyCombination key(KeyCode code, Modifier... modifiers) {
        return new KeyCodeCombination(code, modifiers);
    }
}
