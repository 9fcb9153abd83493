package ivrik.core.treatment;

/**
 * The points of a plot that are set by hand, and what of their range the plot shows.
 *
 * @param series each with an {@code in} and an {@code out}
 * @param hues whether what goes in are hues, all round
 */
public record Points(
        Series series,
        double inLeast,
        double inMost,
        double outLeast,
        double outMost,
        boolean hues) {
    /** Where in the plot a point lies, from 0 at the left to 1 at the right. */
    public double across(double in) {
        return (in - inLeast) / (inMost - inLeast);
    }

    /** Where it lies from 0 at the bottom to 1 at the top. */
    public double up(double out) {
        return (out - outLeast) / (outMost - outLeast);
    }

    /** What goes in at a place from the left. */
    public double in(double across) {
        return inLeast + across * (inMost - inLeast);
    }

    /** What comes out at a place from the bottom. */
    public double out(double up) {
        return outLeast + up * (outMost - outLeast);
    }
}
