package ivrik.core.treatment;

/**
 * Editable points of a plot, and the visible range of the plot.
 *
 * @param series items with an {@code in} and an {@code out}
 * @param hues whether the input is a hue, which wraps around
 */
public record CurvePoints(
        Series series,
        double inLeast,
        double inMost,
        double outLeast,
        double outMost,
        boolean hues) {
    /** Horizontal position of a point, 0 at the left, 1 at the right. */
    public double across(double in) {
        return (in - inLeast) / (inMost - inLeast);
    }

    /** Vertical position of a point, 0 at the bottom, 1 at the top. */
    public double up(double out) {
        return (out - outLeast) / (outMost - outLeast);
    }

    /** Input at a horizontal position. */
    public double in(double across) {
        return inLeast + across * (inMost - inLeast);
    }

    /** Output at a vertical position. */
    public double out(double up) {
        return outLeast + up * (outMost - outLeast);
    }
}
