package ivrik.app.shape;

import ivrik.core.picture.Size;

import javafx.geometry.Point2D;

/**
 * Maps between the picture and a pane.
 *
 * @param sequence size of the picture
 * @param zoom screen points per sequence pixel
 */
public record PaneMapping(Size sequence, double left, double top, double zoom) {
    private static final double MARGIN = 6;

    /**
     * @param deviceZoom device pixels per sequence pixel; 0 to fit
     * @param deviceScale device pixels per screen point
     * @param centre centre of the pane, as shares of the picture
     */
    public static PaneMapping of(
            Size sequence,
            double width,
            double height,
            double deviceZoom,
            double deviceScale,
            Point2D centre) {
        double zoom = deviceZoom / deviceScale;
        if (zoom == 0) {
            double fit =
                    Math.min(
                            (width - 2 * MARGIN) / sequence.width(),
                            (height - 2 * MARGIN) / sequence.height());
            double z = Math.max(0.01, fit);
            return new PaneMapping(
                    sequence,
                    snapped((width - z * sequence.width()) / 2, deviceScale),
                    snapped((height - z * sequence.height()) / 2, deviceScale),
                    z);
        }
        return new PaneMapping(
                sequence,
                snapped(width / 2 - centre.getX() * sequence.width() * zoom, deviceScale),
                snapped(height / 2 - centre.getY() * sequence.height() * zoom, deviceScale),
                zoom);
    }

    /** The nearest border between device pixels. */
    private static double snapped(double at, double deviceScale) {
        return Math.rint(at * deviceScale) / deviceScale;
    }

    public Point2D toPicture(double x, double y) {
        return new Point2D((x - left) / zoom, (y - top) / zoom);
    }

    public Point2D toScreen(double x, double y) {
        return new Point2D(left + x * zoom, top + y * zoom);
    }

    /** Pane position of a point relative to the picture's centre. */
    public Point2D fromMiddle(Point2D at) {
        return toScreen(sequence.width() / 2.0 + at.getX(), sequence.height() / 2.0 + at.getY());
    }

    /** Point relative to the picture's centre of a pane position. */
    public Point2D toMiddle(double x, double y) {
        return toPicture(x, y).subtract(sequence.width() / 2.0, sequence.height() / 2.0);
    }
}
