package ivrik.core.filter;

import ivrik.core.picture.Lines;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/**
 * Rows with those above and below, each made once as the work goes down, to be read in whole vectors (see {@link
 * Lines#room}). What is read beyond the end of a row is anything. For one thread.
 */
final class RowWindow implements Neighbours {
    private final EdgeFill fill;
    private final int height;
    private final Rows.Reader reader;
    private final float[][] kept;
    private final int[] keptRow;
    private final float[] nothing;

    /** Any {@code count} rows that follow each other are kept at once. */
    RowWindow(Rows in, EdgeFill fill, int count) {
        this.fill = fill;
        height = in.height();
        reader = in.reader();
        kept = new float[count][Lines.room(in.width())];
        keptRow = new int[count];
        nothing = new float[Lines.room(in.width())];
        Arrays.fill(keptRow, Integer.MIN_VALUE);
    }

    @Override
    public float[] data(int y) {
        int row = fill.inside(y, height);
        if (row < 0) {
            return nothing;
        }
        int slot = Math.floorMod(y, kept.length);
        if (keptRow[slot] != y) {
            keptRow[slot] = y;
            reader.row(row, kept[slot], 0);
        }
        return kept[slot];
    }

    @Override
    public int at(int y) {
        return 0;
    }
}
