package ivrik.core.filter;

import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

/** Rows with those above and below, each made once as the work goes down. For one thread. */
final class RowWindow implements Neighbours {
    private final KeptRows rows;

    /** Any {@code count} rows that follow each other are kept at once. */
    RowWindow(Rows in, EdgeFill fill, int count) {
        rows = new KeptRows(count, in.width(), KeptRows.of(in, fill, 0));
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
