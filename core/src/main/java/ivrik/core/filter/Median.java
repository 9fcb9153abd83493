package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The middle value of the 3x3 or 5x5 samples about each. Many samples are compared at once, as whole
 * numbers whose order is that of the floats. Columns are sorted first, once for all windows; then the
 * rows of each window, which leaves its columns sorted; of the 25 only 13 can still be the middle one.
 */
public final class Median implements Filtered {
    /** Samples worked on at once: few enough for the cache, enough to be worth starting a loop for. */
    private static final int PIECE = 960;

    private final Plane in;
    private final int reach;
    private final EdgeFill fill;

    /**
     * A plane's medians.
     *
     * @param reach 1 or 2 samples on either side
     */
    public Median(Plane in, int reach, EdgeFill fill) {
        this.in = in;
        this.reach = reach;
        this.fill = fill;
    }

    @Override
    public Plane in() {
        return in;
    }

    @Override
    public Reader reader() {
        return new Sorter();
    }

    /** Works on one row after the other, piece by piece. */
    private final class Sorter implements Reader {
        private final int n = 2 * reach + 1;
        private final Window rows = new Window(in, fill, n, reach);
        private final int[][] codes = new int[n][in.width() + 2 * reach];
        private final long[] coded = new long[n];
        private final int[][] columns = new int[n][PIECE + 2 * reach];
        private final int[][][] window = new int[n][n][PIECE];
        private final List<int[]> least = new ArrayList<>();
        private final List<int[]> greatest = new ArrayList<>();
        private final List<int[]> others = new ArrayList<>();

        Sorter() {
            Arrays.fill(coded, Long.MIN_VALUE);
            for (int row = 1; row <= n; row++) {
                for (int column = 1; column <= n; column++) {
                    if (canBeMiddle(row, column)) {
                        List<int[]> where =
                                !canBeMiddle(row, column - 1) && !canBeMiddle(row - 1, column)
                                        ? least
                                        : !canBeMiddle(row, column + 1)
                                                        && !canBeMiddle(row + 1, column)
                                                ? greatest
                                                : others;
                        where.add(window[row - 1][column - 1]);
                    }
                }
            }
        }

        /** In a matrix sorted both ways, whether no half of all is surely above or below. */
        private boolean canBeMiddle(int row, int column) {
            int half = n * n / 2 + 1;
            return Math.min(row, column) >= 1
                    && Math.max(row, column) <= n
                    && row * column <= half
                    && (n + 1 - row) * (n + 1 - column) <= half;
        }

        @Override
        public void row(int y, float[] out, int o) {
            for (int x = 0; x < in.width(); x += PIECE) {
                int width = Math.min(PIECE, in.width() - x);
                for (int j = 0; j < n; j++) {
                    System.arraycopy(code(y - reach + j), x, columns[j], 0, width + 2 * reach);
                }
                sort(columns, width + 2 * reach);
                for (int j = 0; j < n; j++) {
                    for (int i = 0; i < n; i++) {
                        System.arraycopy(columns[j], i, window[j][i], 0, width);
                    }
                    sort(window[j], width);
                }
                Ordered.decode(middle(width), out, o + x, width);
            }
        }

        private int[] code(int y) {
            int slot = Math.floorMod(y, n);
            if (coded[slot] != y) {
                coded[slot] = y;
                Ordered.code(rows.row(y), 0, codes[slot], codes[slot].length);
            }
            return codes[slot];
        }

        private void sort(int[][] r, int width) {
            if (n == 3) {
                Ordered.sort(r[0], r[1], r[2], width);
            } else {
                Ordered.sort(r[0], r[1], r[2], r[3], r[4], width);
            }
        }

        /** First the least is let go of those that can be it, and the greatest; then of all. */
        private int[] middle(int width) {
            List<int[]> left = new ArrayList<>(others);
            if (n == 3) {
                left.addAll(least);
                left.addAll(greatest);
            } else {
                left.addAll(withoutEnd(least, true, width));
                left.addAll(withoutEnd(greatest, false, width));
            }
            while (left.size() > 1) {
                left = inner(left, width);
            }
            return left.getFirst();
        }

        private static List<int[]> withoutEnd(List<int[]> four, boolean least, int width) {
            Ordered.ends(four.get(0), four.get(1), four.get(2), four.get(3), width);
            return least ? four.subList(1, 4) : four.subList(0, 3);
        }

        /**
         * All but the least and the greatest, found in groups of four. One left over is a group whose
         * least is its greatest.
         */
        private static List<int[]> inner(List<int[]> rows, int width) {
            List<int[]> low = new ArrayList<>();
            List<int[]> high = new ArrayList<>();
            List<int[]> inner = new ArrayList<>();
            for (int g = 0; g < rows.size(); g += 4) {
                List<int[]> group = rows.subList(g, Math.min(g + 4, rows.size()));
                switch (group.size()) {
                    case 4 ->
                            Ordered.ends(
                                    group.get(0), group.get(1), group.get(2), group.get(3), width);
                    case 3 -> Ordered.sort(group.get(0), group.get(1), group.get(2), width);
                    case 2 -> Ordered.sort(group.get(0), group.get(1), width);
                    default -> {}
                }
                low.add(group.getFirst());
                if (group.size() > 1) {
                    high.add(group.getLast());
                    inner.addAll(group.subList(1, group.size() - 1));
                }
            }
            if (high.size() < low.size()) {
                high.add(low.getLast());
            }
            for (int i = 1; i < low.size(); i++) {
                Ordered.sort(low.getFirst(), low.get(i), width);
            }
            for (int i = 0; i < high.size() - 1; i++) {
                Ordered.sort(high.get(i), high.getLast(), width);
            }
            inner.addAll(low.subList(1, low.size()));
            inner.addAll(high.subList(0, high.size() - 1));
            inner.remove(high.getLast());
            return inner;
        }
    }
}
