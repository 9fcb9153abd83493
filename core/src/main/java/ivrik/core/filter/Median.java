package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

import java.util.ArrayList;
import java.util.List;

/**
 * The middle value of the 3x3 or 5x5 samples about each. Whole rows are compared at once, as whole
 * numbers whose order is that of the floats. Columns are sorted first, once for all windows; then the
 * rows of each window, which leaves its columns sorted; of the 25 only 13 can still be the middle one.
 */
public final class Median {
    private Median() {}

    /**
     * A plane's medians.
     *
     * @param reach 1 or 2 samples on either side
     */
    public static Plane of(Plane in, int reach, EdgeFill fill, Workers workers) {
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    Window rows = new Window(in, fill, 2 * reach + 1, reach);
                    Sorter sorter = new Sorter(in.width(), reach);
                    for (int y = from; y < to; y++) {
                        sorter.run(rows, y, out.data(), out.row(y));
                    }
                });
        return out;
    }

    /** A pair of places to be put in order. */
    private record Pair(int low, int high) {}

    /** Works on one row after the other. */
    private static final class Sorter {
        private final int width;
        private final int n;
        private final int reach;
        private final int[][] columns;
        private final int[][][] window;
        private final List<Pair> sort;

        Sorter(int width, int reach) {
            this.width = width;
            this.reach = reach;
            this.n = 2 * reach + 1;
            this.columns = new int[n][width + 2 * reach];
            this.window = new int[n][n][width];
            this.sort = sorting(n);
        }

        void run(Window rows, int y, float[] out, int o) {
            for (int j = 0; j < n; j++) {
                code(rows.row(y - reach + j), columns[j]);
            }
            for (Pair p : sort) {
                order(columns[p.low], columns[p.high]);
            }
            List<int[]> left = new ArrayList<>();
            for (int j = 0; j < n; j++) {
                for (int i = 0; i < n; i++) {
                    System.arraycopy(columns[j], i, window[j][i], 0, width);
                }
                for (Pair p : sort) {
                    order(window[j][p.low], window[j][p.high]);
                }
                for (int i = 0; i < n; i++) {
                    if (canBeMiddle(j + 1, i + 1)) {
                        left.add(window[j][i]);
                    }
                }
            }
            decode(middle(left), out, o);
        }

        /** In a matrix sorted both ways, whether no half of all is surely above or below. */
        private boolean canBeMiddle(int row, int column) {
            int half = n * n / 2 + 1;
            return row * column <= half && (n + 1 - row) * (n + 1 - column) <= half;
        }
    }

    /** The middle one of an odd number of rows: least and greatest are let go until one is left. */
    private static int[] middle(List<int[]> rows) {
        List<int[]> left = new ArrayList<>(rows);
        while (left.size() > 1) {
            int last = left.size() - 1;
            for (int i = 0; i < last; i++) {
                order(left.get(i), left.get(last));
            }
            for (int i = last - 1; i > 0; i--) {
                order(left.get(0), left.get(i));
            }
            left.remove(last);
            left.remove(0);
        }
        return left.getFirst();
    }

    /** Insertion sort as a fixed list of comparisons. */
    private static List<Pair> sorting(int n) {
        List<Pair> pairs = new ArrayList<>();
        for (int i = 1; i < n; i++) {
            for (int j = i; j > 0; j--) {
                pairs.add(new Pair(j - 1, j));
            }
        }
        return pairs;
    }

    private static void order(int[] low, int[] high) {
        for (int i = 0; i < low.length; i++) {
            int a = low[i];
            int b = high[i];
            low[i] = Math.min(a, b);
            high[i] = Math.max(a, b);
        }
    }

    /** Floats as whole numbers of the same order; its own inverse. */
    private static void code(float[] in, int[] out) {
        for (int i = 0; i < out.length; i++) {
            int bits = Float.floatToRawIntBits(in[i]);
            out[i] = bits ^ ((bits >> 31) & 0x7fffffff);
        }
    }

    private static void decode(int[] in, float[] out, int o) {
        for (int i = 0; i < in.length; i++) {
            int bits = in[i];
            out[o + i] = Float.intBitsToFloat(bits ^ ((bits >> 31) & 0x7fffffff));
        }
    }
}
