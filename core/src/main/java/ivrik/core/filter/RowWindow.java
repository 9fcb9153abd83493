package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

/**
 * Rows with those above and below, each made once as the work goes down, to be read in whole vectors (see {@link
 * Lines#room}). What is read beyond the end of a row is anything. For one thread.
 */
final class RowWindow implements Neighbours {
    private final KeptRows rows;

    /** Any {@code count} rows that follow each other are kept at once. */
    RowWindow(Rows in, EdgeFill fill, int count) {
        rows = new KeptRows(count, Lines.room(in.width()), KeptRows.of(in, fill, 0));
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
