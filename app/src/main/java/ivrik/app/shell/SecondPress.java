package ivrik.app.shell;

import javafx.collections.ListChangeListener;
import javafx.collections.WeakListChangeListener;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.control.ContextMenu;
import javafx.scene.input.MouseEvent;
import javafx.stage.Window;

import java.time.Duration;

/**
 * Keeps the second press of a double-click from choosing an item of the menu that the first press opened.
 */
final class SecondPress {
    private static final long DOUBLE_CLICK = Duration.ofMillis(450).toNanos();

    /** Distance within which two presses are a double-click, in pixels. */
    private static final double NEAR = 5;

    private final Scene scene;
    private final ListChangeListener<Window> opened = this::opened;
    private Point2D first = Point2D.ZERO;
    private long firstTime;
    private boolean swallowed;

    SecondPress(Scene scene) {
        this.scene = scene;
    }

    /** Guards all menus that open while the scene is in use. */
    void guard() {
        scene.addEventFilter(
                MouseEvent.MOUSE_PRESSED,
                e -> {
                    first = new Point2D(e.getScreenX(), e.getScreenY());
                    firstTime = System.nanoTime();
                });
        Window.getWindows().addListener(new WeakListChangeListener<>(opened));
    }

    private void opened(ListChangeListener.Change<? extends Window> change) {
        while (change.next()) {
            change.getAddedSubList().stream()
                    .filter(ContextMenu.class::isInstance)
                    .filter(menu -> menu.getProperties().putIfAbsent(this, true) == null)
                    .forEach(this::guard);
        }
    }

    private void guard(Window menu) {
        menu.addEventFilter(
                MouseEvent.MOUSE_PRESSED,
                e -> {
                    swallowed = isSecond(e);
                    if (swallowed) {
                        e.consume();
                    }
                });
        menu.addEventFilter(
                MouseEvent.MOUSE_RELEASED,
                e -> {
                    if (swallowed || isSecond(e)) {
                        e.consume();
                    }
                });
    }

    private boolean isSecond(MouseEvent e) {
        return System.nanoTime() - firstTime < DOUBLE_CLICK
                && first.distance(e.getScreenX(), e.getScreenY()) < NEAR;
    }
}
