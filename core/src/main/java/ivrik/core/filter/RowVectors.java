package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;

/**
 * Rows of a plane where they lie, with those above and below it, to be read in whole vectors (see {@link
 * Lines#room}). What is read beyond the end of a row is anything.
 */
final class RowVectors implements Neighbours {
    private final Plane in;
    private final EdgeFill fill;
    private final float[] nothing;
    private final float[][] last;
    private final int firstOfLast;

    RowVectors(Plane in, EdgeFill fill) {
        this.in = in;
        this.fill = fill;
        int room = Lines.room(in.width());
        this.nothing = new float[room];
        int whole = in.height();
        while (whole > 0 && in.row(whole - 1) + room > in.data().length) {
            whole--;
        }
        this.firstOfLast = whole;
        this.last = new float[in.height() - whole][room];
        for (int k = 0; k < last.length; k++) {
            System.arraycopy(in.data(), in.row(whole + k), last[k], 0, in.width());
        }
    }

    /** The array that a row lies in; the last rows are copies with room after them. */
    @Override
    public float[] data(int y) {
        int row = fill.inside(y, in.height());
        if (row < 0) {
            return nothing;
        }
        return row < firstOfLast ? in.data() : last[row - firstOfLast];
    }

    /** Where it begins. */
    @Override
    public int at(int y) {
        int row = fill.inside(y, in.height());
        return row < 0 || row >= firstOfLast ? 0 : in.row(row);
    }

    /** The sum of four rows that follow each other, each by its weight from {@code k} on; no room is needed. */
    void four(int first, float[] w, int k, float[] out, int to) {
        Lines.four(
                data(first),
                at(first),
                w[k],
                data(first + 1),
                at(first + 1),
                w[k + 1],
                data(first + 2),
                at(first + 2),
                w[k + 2],
                data(first + 3),
                at(first + 3),
                w[k + 3],
                out,
                to,
                in.width());
    }
}
