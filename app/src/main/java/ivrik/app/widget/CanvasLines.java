package ivrik.app.widget;

import javafx.scene.canvas.GraphicsContext;

/**
 * Horizontal and vertical lines as filled rectangles, which draw three times as fast as strokes.
 */
public final class CanvasLines {
    private CanvasLines() {}

    public static void level(
            GraphicsContext g, double left, double top, double right, double thick) {
        g.fillRect(left, top, right - left, thick);
    }

    public static void vertical(
            GraphicsContext g, double left, double top, double bottom, double thick) {
        g.fillRect(left, top, thick, bottom - top);
    }

    /** An outline of one pixel inside a rectangle. */
    public static void outline(GraphicsContext g, double x, double y, double w, double h) {
        level(g, x, y, x + w, 1);
        level(g, x, y + h - 1, x + w, 1);
        vertical(g, x, y, y + h, 1);
        vertical(g, x + w - 1, y, y + h, 1);
    }

    /** Lines of one pixel through a point, across the whole canvas. */
    public static void cross(GraphicsContext g, double x, double y, double w, double h) {
        vertical(g, Math.rint(x), 0, h, 1);
        level(g, 0, Math.rint(y), w, 1);
    }
}
