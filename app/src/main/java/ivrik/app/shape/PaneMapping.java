package ivrik.app.shape;

import ivrik.core.picture.Size;

import javafx.geometry.Point2D;

/**
 * Maps between the picture and a pane.
 *
 * @param sequence size of the picture
 * @param zoom screen pixels per sequence pixel
 */
public record PaneMapping(Size sequence, double left, double top, double zoom) {
    private static final double MARGIN = 6;

    /**
     * @param zoom 0 to fit
     * @param centre centre of the pane, as shares of the picture
     */
    public static PaneMapping of(
            Size sequence, double width, double height, double zoom, Point2D centre) {
        if (zoom == 0) {
            double fit =
                    Math.min(
                            (width - 2 * MARGIN) / sequence.width(),
                            (height - 2 * MARGIN) / sequence.height());
            double z = Math.max(0.01, fit);
            return new PaneMapping(
                    sequence,
                    Math.rint((width - z * sequence.width()) / 2),
                    Math.rint((height - z * sequence.height()) / 2),
                    z);
        }
        return new PaneMapping(
                sequence,
                Math.rint(width / 2 - centre.getX() * sequence.width() * zoom),
                Math.rint(height / 2 - centre.getY() * sequence.height() * zoom),
                zoom);
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
