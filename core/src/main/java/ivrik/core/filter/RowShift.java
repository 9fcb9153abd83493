package ivrik.core.filter;

/** A mapping that shifts each row horizontally. */
@FunctionalInterface
public interface RowShift extends Warp {
    /** Shift to the right of the row at a vertical position, both in px. */
    double shift(double y);

    @Override
    default void back(double[] x, double[] y, int n) {
        double by = 0;
        for (int i = 0; i < n; i++) {
            if (i == 0 || y[i] != y[i - 1]) {
                by = shift(y[i]);
            }
            x[i] -= by;
        }
    }
}
