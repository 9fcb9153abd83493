package ivrik.core.filter;

import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/**
 * The rows around the current one. Each is computed once as processing moves down. For one thread.
 */
final class CachedRows {
    private final float[][] rows;
    private final int[] held;
    private final Maker maker;

    /** Computes one row. */
    @FunctionalInterface
    interface Maker {
        void row(int y, float[] out);
    }

    /**
     * @param count number of consecutive rows that are kept
     * @param length samples per row
     */
    CachedRows(int count, int length, Maker maker) {
        this.rows = new float[count][length];
        this.held = new int[count];
        this.maker = maker;
        Arrays.fill(held, Integer.MIN_VALUE);
    }

    /** Rows from another source, at index {@code o}; rows above and below follow the edge fill. */
    static Maker of(Rows in, EdgeFill fill, int o) {
        Rows.Reader reader = in.reader();
        int height = in.height();
        return (y, out) -> {
            int inside = fill.inside(y, height);
            if (inside < 0) {
                Arrays.fill(out, 0);
            } else {
                reader.row(inside, out, o);
            }
        };
    }

    float[] row(int y) {
        int slot = Math.floorMod(y, rows.length);
        if (held[slot] != y) {
            maker.row(y, rows[slot]);
            held[slot] = y;
        }
        return rows[slot];
    }
}
