package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Workers;

/**
 * The least or the greatest value about each sample, by whole numbers of the same order. In squares:
 * down the columns by the blocks of van Herk 1992 and Gil and Werman 1993, three comparisons a sample
 * whatever the radius; along rows by doubling the window, which vectorises. In discs: each of their
 * rows is two windows that are a power of two long.
 *
 * <p>Between whole radii it is between their results.
 */
public enum Extreme {
    LEAST {
        @Override
        void merge(int[] a, int[] b, int[] out, int n) {
            Ordered.least(a, b, out, n);
        }
    },
    GREATEST {
        @Override
        void merge(int[] a, int[] b, int[] out, int n) {
            Ordered.greatest(a, b, out, n);
        }
    };

    private static final int STRIP = 256;

    /** Samples of a row worked on at once, so that they stay in the first-level cache. */
    private static final int PIECE = 1024;

    abstract void merge(int[] a, int[] b, int[] out, int n);

    /**
     * A plane's extremes.
     *
     * @param radius in samples, 0 or more
     * @param round discs in place of squares
     */
    public Rows of(Plane in, double radius, boolean round, EdgeFill fill, Workers workers) {
        int whole = (int) Math.floor(radius);
        float rest = (float) (radius - whole);
        Rows less = whole(in, whole, round, fill, workers);
        if (rest == 0) {
            return less;
        }
        Plane more = whole(in, whole + 1, round, fill, workers).toPlane(workers);
        return Rows.of(Kernels.mix(less.toPlane(workers), more, rest, workers));
    }

    private Rows whole(Plane in, int radius, boolean round, EdgeFill fill, Workers workers) {
        if (radius == 0) {
            return Rows.of(in);
        }
        return round ? new Discs(this, in, radius, fill) : squares(in, radius, fill, workers);
    }

    private Rows squares(Plane in, int radius, EdgeFill fill, Workers workers) {
        int[] codes = new int[in.width() * in.height()];
        workers.parts(
                (in.width() + STRIP - 1) / STRIP,
                strip -> {
                    int x = strip * STRIP;
                    new Strip(in, x, Math.min(STRIP, in.width() - x), fill, radius).run(codes);
                });
        return new Along(in.width(), in.height(), codes, radius, fill);
    }

    /** Some columns, worked on from the top down. */
    private final class Strip {
        private final Plane in;
        private final int x;
        private final int width;
        private final EdgeFill fill;
        private final int radius;
        private final int length;
        private final float[] floats;
        private final int[][] after;
        private final int[] before;
        private final int[] row;

        Strip(Plane in, int x, int width, EdgeFill fill, int radius) {
            this.in = in;
            this.x = x;
            this.width = width;
            this.fill = fill;
            this.radius = radius;
            this.length = 2 * radius + 1;
            this.floats = new float[width];
            this.after = new int[length][width];
            this.before = new int[width];
            this.row = new int[width];
        }

        /** Row {@code n} of those that the windows are made of; the first window begins with row 0. */
        private void read(int n, int[] to) {
            fill.read(in, n - radius, x, floats, width);
            Ordered.code(floats, 0, to, width);
        }

        void run(int[] out) {
            for (int block = 0; block < in.height(); block += length) {
                read(block + length - 1, after[length - 1]);
                for (int k = length - 2; k >= 0; k--) {
                    read(block + k, after[k]);
                    merge(after[k], after[k + 1], after[k], width);
                }
                int end = Math.min(length, in.height() - block);
                for (int k = 0; k < end; k++) {
                    if (k == 1) {
                        read(block + length, before);
                    } else if (k > 1) {
                        read(block + length + k - 1, row);
                        merge(before, row, before, width);
                    }
                    int[] all = after[k];
                    if (k > 0) {
                        merge(all, before, row, width);
                        all = row;
                    }
                    System.arraycopy(all, 0, out, (block + k) * in.width() + x, width);
                }
            }
        }
    }

    /** Along the rows of codes. */
    private final class Along implements Rows {
        private final int width;
        private final int height;
        private final int[] codes;
        private final int radius;
        private final EdgeFill fill;

        Along(int width, int height, int[] codes, int radius, EdgeFill fill) {
            this.width = width;
            this.height = height;
            this.codes = codes;
            this.radius = radius;
            this.fill = fill;
        }

        @Override
        public int width() {
            return width;
        }

        @Override
        public int height() {
            return height;
        }

        @Override
        public Reader reader() {
            int length = 2 * radius + 1;
            int most = Math.min(width, PIECE);
            int[] extended = new int[width + 2 * radius];
            int[] doubled = new int[most + 2 * radius];
            int[] shifted = new int[most + 2 * radius];
            return (y, out, o) -> {
                extend(y, extended);
                for (int x = 0; x < width; x += PIECE) {
                    int n = Math.min(PIECE, width - x);
                    int all = n + 2 * radius;
                    System.arraycopy(extended, x, doubled, 0, all);
                    int power = 1;
                    for (; power * 2 <= length; power *= 2) {
                        System.arraycopy(doubled, power, shifted, 0, all - power);
                        merge(doubled, shifted, doubled, all - power);
                    }
                    System.arraycopy(doubled, length - power, shifted, 0, n);
                    merge(doubled, shifted, doubled, n);
                    Ordered.decode(doubled, out, o + x, n);
                }
            };
        }

        /** A row with what lies outside; where there is nothing, it is the code of 0. */
        private void extend(int y, int[] to) {
            System.arraycopy(codes, y * width, to, radius, width);
            for (int k = 0; k < radius; k++) {
                int left = fill.inside(k - radius, width);
                int right = fill.inside(width + k, width);
                to[k] = left < 0 ? 0 : codes[y * width + left];
                to[radius + width + k] = right < 0 ? 0 : codes[y * width + right];
            }
        }
    }
}
