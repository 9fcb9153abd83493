package ivrik.core.filter;

import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/** The rows about the one being worked on, each made once as the work goes down. For one thread. */
final class KeptRows {
    private final float[][] rows;
    private final int[] held;
    private final Maker maker;

    /** Makes the row of a number. */
    @FunctionalInterface
    interface Maker {
        void row(int y, float[] out);
    }

    /** Rows of {@code length} samples, of which any {@code count} that follow each other are kept at once. */
    KeptRows(int count, int length, Maker maker) {
        this.rows = new float[count][length];
        this.held = new int[count];
        this.maker = maker;
        Arrays.fill(held, Integer.MIN_VALUE);
    }

    /** Rows that are made elsewhere, from {@code o} on; those above and below as an edge fill has them. */
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
