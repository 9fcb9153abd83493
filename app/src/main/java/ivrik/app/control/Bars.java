package ivrik.app.control;

import javafx.scene.canvas.GraphicsContext;

/**
 * Level and upright lines on a canvas, in its fill: as strokes they keep those that draw three times as long.
 */
public final class Bars {
    private Bars() {}

    public static void level(
            GraphicsContext g, double left, double top, double right, double thick) {
        g.fillRect(left, top, right - left, thick);
    }

    public static void upright(
            GraphicsContext g, double left, double top, double bottom, double thick) {
        g.fillRect(left, top, thick, bottom - top);
    }

    /** Along the inner edge of a rectangle, one pixel thick. */
    public static void outline(GraphicsContext g, double x, double y, double w, double h) {
        level(g, x, y, x + w, 1);
        level(g, x, y + h - 1, x + w, 1);
        upright(g, x, y, y + h, 1);
        upright(g, x + w - 1, y, y + h, 1);
    }

    /** One pixel thick through a place, all across and all down a canvas. */
    public static void cross(GraphicsContext g, double x, double y, double w, double h) {
        upright(g, Math.rint(x), 0, h, 1);
        level(g, 0, Math.rint(y), w, 1);
    }
}
