package ivrik.core.sampling;

import ivrik.core.picture.Plane;

import java.util.Arrays;

/** What lies outside a picture: maps indices outside to indices inside. */
public enum EdgeFill {
    /** Zero. */
    EMPTY {
        @Override
        public int inside(int i, int n) {
            return i >= 0 && i < n ? i : -1;
        }
    },
    /** Repeats the border sample. */
    REPEAT {
        @Override
        public int inside(int i, int n) {
            return Math.clamp(i, 0, n - 1);
        }

        @Override
        void outside(float[] data, int row, int n, int from, float[] out, int o, int end) {
            Arrays.fill(out, o, Math.max(o, end), data[row + inside(from, n)]);
        }
    },
    /** Mirrors the picture at its border, with the border sample doubled: c b a | a b c. */
    MIRROR {
        @Override
        public int inside(int i, int n) {
            int m = Math.floorMod(i, 2 * n);
            return m < n ? m : 2 * n - 1 - m;
        }
    },
    /** Tiles the picture. */
    WRAP {
        @Override
        public int inside(int i, int n) {
            return Math.floorMod(i, n);
        }

        @Override
        void outside(float[] data, int row, int n, int from, float[] out, int o, int end) {
            int at = Math.floorMod(from, n);
            for (int k = o; k < end; ) {
                int run = Math.min(n - at, end - k);
                System.arraycopy(data, row + at, out, k, run);
                k += run;
                at = 0;
            }
        }
    };

    /**
     * The index in 0..n-1 that stands for index {@code i}.
     *
     * @return -1 for zero
     */
    public abstract int inside(int i, int n);

    /**
     * Copies {@code count} samples of a row.
     *
     * @param row index in {@code data} of the first of {@code n} samples
     * @param from first index to copy, may be outside on either side
     */
    public void read(float[] data, int row, int n, int from, float[] out, int count) {
        int first = Math.clamp(-(long) from, 0, count);
        int last = Math.clamp((long) n - from, first, count);
        outside(data, row, n, from, out, 0, first);
        if (last > first) {
            System.arraycopy(data, row + from + first, out, first, last - first);
        }
        outside(data, row, n, from + last, out, last, count);
    }

    /**
     * Copies samples of indices outside the row, to {@code out} from {@code o} to before {@code end}.
     */
    void outside(float[] data, int row, int n, int from, float[] out, int o, int end) {
        for (int k = o; k < end; k++) {
            int i = inside(from + k - o, n);
            out[k] = i < 0 ? 0 : data[row + i];
        }
    }

    /**
     * Copies {@code count} samples of row {@code y} from column {@code from} on; both may be outside.
     */
    public void read(Plane in, long y, int from, float[] out, int count) {
        int inside = inside((int) y, in.height());
        if (inside < 0) {
            Arrays.fill(out, 0, count, 0f);
        } else {
            read(in.data(), in.row(inside), in.width(), from, out, count);
        }
    }

    /**
     * Fills the margins on both sides of a row of {@code n} samples that starts at {@code margin}.
     */
    public void extend(float[] row, int margin, int n) {
        for (int k = 0; k < margin; k++) {
            int left = inside(k - margin, n);
            int right = inside(n + k, n);
            row[k] = left < 0 ? 0 : row[margin + left];
            row[margin + n + k] = right < 0 ? 0 : row[margin + right];
        }
    }
}
