package ivrik.core.filter;

/** A mapping that leaves rows where they are and shifts each along itself. */
@FunctionalInterface
public interface RowShift extends Warp {
    /** How far to the right the row at a place down the picture is shifted; both in pixels. */
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
