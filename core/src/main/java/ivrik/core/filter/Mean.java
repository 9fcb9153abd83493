package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Workers;

/**
 * The mean of a window that runs along columns and rows, at a cost that (all but) does not grow with
 * its size, and without subtracting anything that could drift. Down the columns by the blocks of van
 * Herk 1992 and Gil and Werman 1993, here for sums: each window is the end of one block and the
 * beginning of the next. Along rows by doubling the window, which vectorises.
 *
 * <p>A window may end within a sample, which then counts by its share.
 */
public final class Mean {
    /** Up to so many rows are added up as they are. */
    private static final int FEW = 9;

    private static final int STRIP = 256;

    /** Samples of a row worked on at once, so that they stay in the first-level cache. */
    private static final int PIECE = 1024;

    private Mean() {}

    /** Samples on either side of the middle one that are in a window as a whole. */
    private static int reach(double width) {
        return (int) Math.floor((width - 1) / 2);
    }

    private static float rest(double width) {
        return (float) ((width - 1) / 2 - reach(width));
    }

    /**
     * A plane's means.
     *
     * @param across the window's width in samples, at least 1
     * @param down its height
     */
    public static Rows of(Plane in, double across, double down, EdgeFill fill, Workers workers) {
        if (2 * reach(down) + 3 <= FEW) {
            return new Along(in, across, down, fill);
        }
        return new Along(down(in, down, fill, workers), across, 1, fill);
    }

    /** Along rows, and down as few rows as can be added up for each. */
    private record Along(Plane in, double across, double down, EdgeFill fill) implements Filtered {
        @Override
        public Reader reader() {
            int margin = across == 1 ? 0 : reach(across) + 1;
            int r = reach(down);
            float rest = rest(down);
            Window rows = new Window(in, fill, 2 * r + 3, margin);
            Row row = new Row(in.width(), across);
            float[] sum = new float[in.width() + 2 * margin];
            float weight = (float) (1 / (across * down));
            return (y, out, o) -> {
                float[] samples = rows.row(y);
                if (down > 1) {
                    Lines.scale(samples, 1, sum);
                    for (int k = 1; k <= r; k++) {
                        Lines.addPair(rows.row(y - k), rows.row(y + k), 1, sum);
                    }
                    if (rest > 0) {
                        Lines.addPair(rows.row(y - r - 1), rows.row(y + r + 1), rest, sum);
                    }
                    samples = sum;
                }
                if (across == 1) {
                    Lines.scale(samples, weight, row.out);
                } else {
                    row.run(samples, weight);
                }
                System.arraycopy(row.out, 0, out, o, row.out.length);
            };
        }
    }

    /** Sums along one row that comes with what lies outside. */
    private static final class Row {
        final float[] out;
        private final int margin;
        private final int length;
        private final float rest;
        private final float[] piece;
        private final float[] doubled;
        private final float[] shifted;
        private final float[] first;
        private final float[] last;

        Row(int width, double window) {
            this.margin = reach(window) + 1;
            this.length = 2 * margin - 1;
            this.rest = rest(window);
            int n = Math.min(width, PIECE);
            this.piece = new float[n];
            this.doubled = new float[n + 2 * margin];
            this.shifted = new float[n + 2 * margin];
            this.first = new float[this.piece.length];
            this.last = new float[this.piece.length];
            this.out = new float[width];
        }

        void run(float[] samples, float weight) {
            for (int x = 0; x < out.length; x += piece.length) {
                int n = Math.min(piece.length, out.length - x);
                piece(samples, x, n, weight);
                System.arraycopy(piece, 0, out, x, n);
            }
        }

        /** Every power of two in the window's length, one after the other; then what is left. */
        private void piece(float[] samples, int x, int n, float weight) {
            int all = n + 2 * margin;
            System.arraycopy(samples, x, doubled, 0, all);
            System.arraycopy(samples, x + 1, piece, 0, n);
            int covered = 1;
            for (int power = 2; power <= length; power *= 2) {
                System.arraycopy(doubled, power / 2, shifted, 0, all - power / 2);
                Lines.add(shifted, 1, doubled);
                if ((length & power) != 0) {
                    System.arraycopy(doubled, 1 + covered, first, 0, n);
                    Lines.add(first, 1, piece);
                    covered += power;
                }
            }
            if (rest > 0) {
                System.arraycopy(samples, x, first, 0, n);
                System.arraycopy(samples, x + 2 * margin, last, 0, n);
                Lines.addPair(first, last, rest, piece);
            }
            Lines.scale(piece, weight, piece);
        }
    }

    private static Plane down(Plane in, double window, EdgeFill fill, Workers workers) {
        Plane out = Plane.of(in.width(), in.height());
        workers.parts(
                (in.width() + STRIP - 1) / STRIP,
                strip -> {
                    int x = strip * STRIP;
                    new Strip(in, x, Math.min(STRIP, in.width() - x), fill, window).run(out);
                });
        return out;
    }

    /** Some columns, worked on from the top down. */
    private static final class Strip {
        private final Plane in;
        private final int x;
        private final int width;
        private final EdgeFill fill;
        private final int reach;
        private final int length;
        private final float rest;
        private final float weight;
        private final float[][] after;
        private final float[] before;
        private final float[] row;
        private final float[] first;
        private final float[] result;

        Strip(Plane in, int x, int width, EdgeFill fill, double window) {
            this.in = in;
            this.x = x;
            this.width = width;
            this.fill = fill;
            this.reach = reach(window);
            this.length = 2 * reach + 1;
            this.rest = rest(window);
            this.weight = (float) (1 / window);
            this.after = new float[length][width];
            this.before = new float[width];
            this.row = new float[width];
            this.first = new float[width];
            this.result = new float[width];
        }

        /** Row {@code n} of those that the windows are made of; the first window begins with row 0. */
        private void read(int n, float[] to) {
            fill.read(in, n - reach, x, to, width);
        }

        void run(Plane out) {
            for (int block = 0; block < in.height(); block += length) {
                read(block + length - 1, after[length - 1]);
                for (int k = length - 2; k >= 0; k--) {
                    read(block + k, after[k]);
                    Lines.add(after[k + 1], 1, after[k]);
                }
                int end = Math.min(length, in.height() - block);
                java.util.Arrays.fill(before, 0f);
                for (int k = 0; k < end; k++) {
                    if (k > 0) {
                        read(block + length + k - 1, row);
                        Lines.add(row, 1, before);
                    }
                    Lines.sum(after[k], before, weight, result);
                    if (rest > 0) {
                        read(block + k - 1, first);
                        read(block + k + length, row);
                        Lines.addPair(first, row, rest * weight, result);
                    }
                    System.arraycopy(result, 0, out.data(), out.row(block + k) + x, width);
                }
            }
        }
    }
}
