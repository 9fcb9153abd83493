package ivrik.app.shell;

import ivrik.app.session.View;
import ivrik.app.sheet.Command;
import ivrik.app.widget.EditingDone;
import ivrik.app.widget.NumberField;

import javafx.scene.Scene;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Keys that menus cannot handle: arrows nudge, and Space plays, whatever has the focus except text; Enter
 * presses the focused button; W and H act while held. Typed text does not trigger single-letter shortcuts. A
 * held key triggers a command once, unless the command repeats.
 */
final class Keys {
    private static final double LARGE = 10;
    private static final double FINE = 0.1;

    /** Plus keys; the menu shows the most common one. */
    private static final Set<KeyCode> CLOSER = EnumSet.of(KeyCode.PLUS, KeyCode.ADD);

    private final MainWindow window;
    private final Scene scene;
    private final List<Command> commands;
    private final Set<KeyCode> down = EnumSet.noneOf(KeyCode.class);

    Keys(MainWindow window, Scene scene, List<Command> commands) {
        this.window = window;
        this.scene = scene;
        this.commands = commands;
    }

    /** Installs the handlers on a window's scene. */
    void install() {
        scene.getWindow().focusedProperty().addListener((o, was, is) -> release());
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, this::released);
        scene.getRoot().addEventHandler(KeyEvent.KEY_PRESSED, this::keepFromMenus);
        scene.getRoot()
                .addEventHandler(
                        EditingDone.TYPE,
                        e -> {
                            if (!window.sheets().isShowing()) {
                                window.panes().first().requestFocus();
                            }
                        });
    }

    /** Runs after the focused control and before the menus. */
    private void keepFromMenus(KeyEvent e) {
        if (window.sheets().isShowing()) {
            if (e.getCode() != KeyCode.ENTER) {
                e.consume(); // keys have no effect behind a sheet
            }
            return;
        }
        boolean taken = isTyping();
        boolean ends = e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.ENTER;
        if (taken && !ends && !e.isShortcutDown() && !e.isMetaDown()) {
            e.consume();
        }
    }

    private boolean isTyping() {
        return scene.getFocusOwner() instanceof TextInputControl;
    }

    private void pressed(KeyEvent e) {
        boolean held = !down.add(e.getCode());
        if (Menus.areOpen()) {
            return;
        }
        if (window.sheets().isShowing()) {
            onSheet(e);
            return;
        }
        if (isTyping()) {
            return;
        }
        if (held && !goesOn(e)) {
            e.consume();
            return;
        }
        View view = window.view();
        boolean zooms = !e.isShortcutDown() && !(scene.getFocusOwner() instanceof NumberField);
        if (e.getCode() == KeyCode.W && !e.isShortcutDown()) {
            view.bypass.set(true);
            e.consume();
        } else if (e.getCode() == KeyCode.H && !e.isShortcutDown() && !e.isShiftDown()) {
            view.showSnapshot.set(window.panes().pictures().hasSnapshot());
            e.consume();
        } else if (e.getCode() == KeyCode.SPACE && !e.isShortcutDown()) {
            play(e.isShiftDown());
            e.consume();
        } else if (CLOSER.contains(e.getCode()) && zooms) {
            window.panes().first().zoomToStop(true);
            e.consume();
        } else if (e.getCode() == KeyCode.SUBTRACT && zooms) {
            window.panes().first().zoomToStop(false);
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER
                && scene.getFocusOwner() instanceof ButtonBase button) {
            press(button);
            e.consume();
        } else if (e.getCode().isArrowKey()
                && !e.isShortcutDown()
                && view.band.get() == View.Band.NONE) {
            nudge(e);
        }
    }

    private boolean goesOn(KeyEvent e) {
        return e.getCode() != KeyCode.ENTER
                && commands.stream()
                        .filter(c -> c.key() != null && c.key().match(e))
                        .allMatch(Command::goesOn);
    }

    /** Starts or stops playback; with Shift around the nearest burst or cut. */
    private void play(boolean around) {
        View view = window.view();
        if (window.session().project().layers().isEmpty()) {
            return;
        }
        if (around) {
            new TimeActions(window.session(), view).playAround();
        } else {
            view.playing.set(!view.playing.get());
        }
    }

    /** Escape closes a sheet; nothing behind it receives keys. */
    private void onSheet(KeyEvent e) {
        if (e.getCode() == KeyCode.ESCAPE) {
            window.sheets().away();
            e.consume();
        } else if (!window.sheets().holds(scene.getFocusOwner()) && e.getCode() != KeyCode.ENTER) {
            e.consume();
        }
    }

    /** Enter presses buttons, because Space plays. */
    private static void press(ButtonBase button) {
        if (button instanceof MenuButton menu) {
            menu.show();
        } else {
            button.fire();
        }
    }

    private void nudge(KeyEvent e) {
        boolean vertical = e.getCode() == KeyCode.UP || e.getCode() == KeyCode.DOWN;
        if (vertical && scene.getFocusOwner() instanceof NumberField) {
            return; // steps that number
        }
        double size = e.isAltDown() ? FINE : e.isShiftDown() ? LARGE : 1;
        double x = e.getCode() == KeyCode.RIGHT ? size : e.getCode() == KeyCode.LEFT ? -size : 0;
        double y = e.getCode() == KeyCode.DOWN ? size : e.getCode() == KeyCode.UP ? -size : 0;
        window.channelKeys().nudge(x, y);
        e.consume();
    }

    private void released(KeyEvent e) {
        down.remove(e.getCode());
        if (e.getCode() == KeyCode.W) {
            window.view().bypass.set(false);
        } else if (e.getCode() == KeyCode.H) {
            window.view().showSnapshot.set(false);
        }
    }

    /** Handles keys that were released while another window had the focus. */
    private void release() {
        down.clear();
        window.view().bypass.set(false);
        window.view().showSnapshot.set(false);
    }
}
