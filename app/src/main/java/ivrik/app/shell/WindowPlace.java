package ivrik.app.shell;

import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;

import java.util.Comparator;
import java.util.List;

/** Size and place of the window: as they were last, within a screen that is there. */
final class WindowPlace {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;

    private WindowPlace() {}

    /**
     * A rectangle of the same size, or smaller, within the screen that it overlaps most; in the middle of the
     * first screen if it overlaps none.
     *
     * @param screens usable parts of the screens, the first one first
     */
    static Rectangle2D fitted(Rectangle2D wanted, List<Rectangle2D> screens) {
        Rectangle2D screen =
                screens.stream()
                        .max(Comparator.comparingDouble(s -> shared(s, wanted)))
                        .filter(s -> shared(s, wanted) > 0)
                        .orElse(null);
        Rectangle2D within = screen == null ? screens.getFirst() : screen;
        double width = Math.min(wanted.getWidth(), within.getWidth());
        double height = Math.min(wanted.getHeight(), within.getHeight());
        double x =
                screen == null
                        ? middle(within.getMinX(), within.getWidth(), width)
                        : wanted.getMinX();
        double y =
                screen == null
                        ? middle(within.getMinY(), within.getHeight(), height)
                        : wanted.getMinY();
        return new Rectangle2D(
                Math.clamp(x, within.getMinX(), within.getMaxX() - width),
                Math.clamp(y, within.getMinY(), within.getMaxY() - height),
                width,
                height);
    }

    private static double middle(double from, double room, double size) {
        return from + (room - size) / 2;
    }

    private static double shared(Rectangle2D a, Rectangle2D b) {
        double width = Math.min(a.getMaxX(), b.getMaxX()) - Math.max(a.getMinX(), b.getMinX());
        double height = Math.min(a.getMaxY(), b.getMaxY()) - Math.max(a.getMinY(), b.getMinY());
        return Math.max(0, width) * Math.max(0, height);
    }

    /** Places a window before it is shown. */
    static void restore(Stage stage, SavedPreferences remembered) {
        List<Rectangle2D> screens =
                Screen.getScreens().stream().map(Screen::getVisualBounds).toList();
        List<Double> last = remembered.get().window();
        if (last.size() == 4) {
            place(
                    stage,
                    fitted(
                            new Rectangle2D(last.get(0), last.get(1), last.get(2), last.get(3)),
                            screens));
            return;
        }
        Rectangle2D first = screens.getFirst();
        if (first.getWidth() < WIDTH || first.getHeight() < HEIGHT) {
            place(
                    stage,
                    fitted(
                            new Rectangle2D(first.getMinX(), first.getMinY(), WIDTH, HEIGHT),
                            screens));
        }
    }

    private static void place(Stage stage, Rectangle2D at) {
        stage.setMinWidth(Math.min(stage.getMinWidth(), at.getWidth()));
        stage.setMinHeight(Math.min(stage.getMinHeight(), at.getHeight()));
        stage.setX(at.getMinX());
        stage.setY(at.getMinY());
        stage.setWidth(at.getWidth());
        stage.setHeight(at.getHeight());
    }

    /** Remembers the place of a window; a maximised one keeps its former place. */
    static void remember(Stage stage, SavedPreferences remembered) {
        if (!stage.isMaximized() && !stage.isFullScreen() && stage.getWidth() > 0) {
            remembered.change(
                    p ->
                            p.withWindow(
                                    List.of(
                                            stage.getX(),
                                            stage.getY(),
                                            stage.getWidth(),
                                            stage.getHeight())));
        }
    }
}
