package ivrik.core.filter;

import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

/**
 * Rows with their neighbours above and below, each computed once as processing moves down. For one thread.
 */
final class RowWindow implements SymmetricPairs {
    private final CachedRows rows;

    /**
     * @param count number of consecutive rows that are kept
     */
    RowWindow(Rows in, EdgeFill fill, int count) {
        rows = new CachedRows(count, in.width(), CachedRows.of(in, fill, 0));
    }

    @Override
    public float[] data(int y) {
        return rows.row(y);
    }

    @Override
    public int at(int y) {
        return 0;
    }
}
