package ivrik.core.filter;

import java.util.Arrays;

/**
 * An inverse mapping: gives the source position of each target position. Positions are in px from the outer
 * edge, so that pixel centres are at half-integers.
 */
@FunctionalInterface
public interface Warp {
    /** Replaces the first {@code n} target positions by source positions. */
    void back(double[] x, double[] y, int n);

    /** Source positions of the {@code n} pixels of a target row. */
    default void row(int row, double[] x, double[] y, int n) {
        for (int i = 0; i < n; i++) {
            x[i] = i + 0.5;
        }
        Arrays.fill(y, 0, n, row + 0.5);
        back(x, y, n);
    }

    /**
     * The source positions of a target row, already split, if the mapping can compute them faster in that
     * form. They may differ by a ten-thousandth of a pixel.
     *
     * @return false, without writing, if the mapping does not support this
     */
    default boolean places(int row, SplitPositions places, int n) {
        return false;
    }
}
