package ivrik.core.filter;

import java.util.Arrays;

/**
 * A mapping of a picture, told by where each place of the mapped picture comes from. Places are in
 * pixels, 0 at the outer edge, so that pixel centres lie at half-integers.
 */
@FunctionalInterface
public interface Warp {
    /** Changes the first {@code n} places in the mapped picture to where they were before. */
    void back(double[] x, double[] y, int n);

    /** Where the {@code n} pixels of a row of the mapped picture come from. */
    default void row(int row, double[] x, double[] y, int n) {
        for (int i = 0; i < n; i++) {
            x[i] = i + 0.5;
        }
        Arrays.fill(y, 0, n, row + 0.5);
        back(x, y, n);
    }

    /**
     * The same, split already, by a mapping that has them more quickly so; else false, and nothing is done. They
     * may differ by a ten-thousandth of a pixel.
     */
    default boolean places(int row, SplitPlaces places, int n) {
        return false;
    }
}
