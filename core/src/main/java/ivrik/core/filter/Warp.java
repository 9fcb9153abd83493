package ivrik.core.filter;

/**
 * A mapping of a picture, told by where each place of the mapped picture comes from. Places are in
 * pixels, 0 at the outer edge, so that pixel centres lie at half-integers.
 */
@FunctionalInterface
public interface Warp {
    /** Changes the first {@code n} places in the mapped picture to where they were before. */
    void back(double[] x, double[] y, int n);
}
