package ivrik.core.filter;

import static ivrik.core.filter.OrderedFloats.at;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;

import jdk.incubator.vector.IntVector;

import java.util.Arrays;

/**
 * Median of the 3x3 or 5x5 samples around each sample. Many samples are compared at once, as integers in the
 * order of the floats. Columns are sorted first, once for all windows; then the rows of each window, which
 * keeps its columns sorted.
 * <p>In a matrix that is sorted both ways, each element of an anti-diagonal is above some element of the
 * previous one and below some element of the next. The median of nine is therefore the median of the main
 * anti-diagonal. The median of 25 is the median of three values: the median of the main anti-diagonal, the
 * maximum of the one before and the minimum of the one after. All other elements have half of the samples
 * above or below them.
 */
public final class Median implements FilteredRows {
    /** Samples processed at once, so that intermediate results stay in the first-level cache. */
    private static final int PIECE = 256;

    private final Plane in;
    private final int radius;
    private final EdgeFill fill;

    /**
     * @param radius 1 for 3x3, 2 for 5x5
     */
    public Median(Plane in, int radius, EdgeFill fill) {
        this.in = in;
        this.radius = radius;
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

    /** Processes one row after the other, in pieces. */
    private final class Sorter implements Reader {
        private final int n = 2 * radius + 1;
        private final int room = RowArithmetic.room(in.width() + 2 * radius);
        private final RowBuffer rows = new RowBuffer(in, fill, n, -radius, room);
        private final int[][] codes = new int[n][room + PIECE];
        private final long[] coded = new long[n];
        private final int[][] samples = new int[n][];
        private final int[][] columns = new int[n][RowArithmetic.room(PIECE + 2 * radius)];
        private final int[][][] windows = new int[n][n][PIECE];
        private final int[] middles = new int[PIECE];
        private final float[] result = new float[PIECE];

        Sorter() {
            Arrays.fill(coded, Long.MIN_VALUE);
        }

        @Override
        public void row(int y, float[] out, int o) {
            for (int j = 0; j < n; j++) {
                samples[j] = code(y - radius + j);
            }
            for (int x = 0; x < in.width(); x += PIECE) {
                int width = Math.min(PIECE, in.width() - x);
                sort(samples, x, 0, columns, width + 2 * radius);
                for (int j = 0; j < n; j++) {
                    int[][] alike = new int[n][];
                    Arrays.fill(alike, columns[j]);
                    sort(alike, 0, 1, windows[j], width);
                }
                if (n == 3) {
                    middleOfThree(windows, middles, width);
                } else {
                    middleOfFive(windows, middles, width);
                }
                OrderedFloats.decode(middles, 0, result, width);
                System.arraycopy(result, 0, out, o + x, width);
            }
        }

        private int[] code(int y) {
            int slot = Math.floorMod(y, n);
            if (coded[slot] != y) {
                coded[slot] = y;
                OrderedFloats.code(rows.row(y), 0, codes[slot], room);
            }
            return codes[slot];
        }
    }

    /**
     * Sorts across three or five rows, each starting {@code step} samples later than the previous one.
     */
    private static void sort(int[][] in, int from, int step, int[][] out, int n) {
        if (in.length == 3) {
            sortThree(in[0], in[1], in[2], from, step, out, n);
        } else {
            sortFive(in[0], in[1], in[2], in[3], in[4], from, step, out, n);
        }
    }

    private static void sortThree(
            int[] p, int[] q, int[] r, int from, int step, int[][] out, int n) {
        for (int i = 0; i < n; i += OrderedFloats.INTS.length()) {
            IntVector a = at(p, from + i);
            IntVector b = at(q, from + i + step);
            IntVector c = at(r, from + i + 2 * step);
            IntVector low = a.min(b);
            IntVector high = a.max(b);
            IntVector middle = high.min(c);
            low.min(middle).intoArray(out[0], i);
            low.max(middle).intoArray(out[1], i);
            high.max(c).intoArray(out[2], i);
        }
    }

    /** Sorts five rows by nine comparisons (Knuth, The Art of Computer Programming, 5.3.4). */
    private static void sortFive(
            int[] p, int[] q, int[] r, int[] s, int[] t, int from, int step, int[][] out, int n) {
        for (int i = 0; i < n; i += OrderedFloats.INTS.length()) {
            int k = from + i;
            IntVector a = at(p, k).min(at(s, k + 3 * step));
            IntVector d = at(p, k).max(at(s, k + 3 * step));
            IntVector b = at(q, k + step).min(at(t, k + 4 * step));
            IntVector e = at(q, k + step).max(at(t, k + 4 * step));
            IntVector a2 = a.min(at(r, k + 2 * step));
            IntVector c = a.max(at(r, k + 2 * step));
            IntVector b2 = b.min(d);
            IntVector d2 = b.max(d);
            IntVector c2 = c.min(e);
            IntVector e2 = c.max(e);
            IntVector b3 = a2.max(b2);
            IntVector c3 = b3.max(c2);
            IntVector d3 = d2.min(e2);
            a2.min(b2).intoArray(out[0], i);
            b3.min(c2).intoArray(out[1], i);
            c3.min(d3).intoArray(out[2], i);
            c3.max(d3).intoArray(out[3], i);
            d2.max(e2).intoArray(out[4], i);
        }
    }

    private static void middleOfThree(int[][][] w, int[] out, int n) {
        for (int i = 0; i < n; i += OrderedFloats.INTS.length()) {
            middle(at(w[0][2], i), at(w[1][1], i), at(w[2][0], i)).intoArray(out, i);
        }
    }

    private static void middleOfFive(int[][][] w, int[] out, int n) {
        for (int i = 0; i < n; i += OrderedFloats.INTS.length()) {
            IntVector before =
                    at(w[0][3], i).max(at(w[1][2], i)).max(at(w[2][1], i)).max(at(w[3][0], i));
            IntVector after =
                    at(w[1][4], i).min(at(w[2][3], i)).min(at(w[3][2], i)).min(at(w[4][1], i));
            IntVector a = at(w[0][4], i);
            IntVector b = at(w[1][3], i);
            IntVector c = at(w[3][1], i);
            IntVector d = at(w[4][0], i);
            IntVector lower = a.min(b).max(c.min(d));
            IntVector upper = a.max(b).min(c.max(d));
            middle(before, middle(lower, upper, at(w[2][2], i)), after).intoArray(out, i);
        }
    }

    private static IntVector middle(IntVector a, IntVector b, IntVector c) {
        return a.min(b).max(a.max(b).min(c));
    }
}
