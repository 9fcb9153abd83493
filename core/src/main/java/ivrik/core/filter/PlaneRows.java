package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.RowArithmetic;
import ivrik.core.sampling.EdgeFill;

/** The rows of a plane, accessed in place, with their neighbours above and below. */
final class PlaneRows implements SymmetricPairs {
    private final Plane in;
    private final EdgeFill fill;
    private final float[] nothing;

    PlaneRows(Plane in, EdgeFill fill) {
        this.in = in;
        this.fill = fill;
        this.nothing = new float[in.width()];
    }

    @Override
    public float[] data(int y) {
        return fill.inside(y, in.height()) < 0 ? nothing : in.data();
    }

    @Override
    public int at(int y) {
        int row = fill.inside(y, in.height());
        return row < 0 ? 0 : in.row(row);
    }

    /**
     * Weighted sum of four consecutive rows.
     *
     * @param k index of the first weight
     */
    void four(int first, float[] w, int k, float[] out, int to) {
        RowArithmetic.four(
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
