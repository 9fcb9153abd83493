package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/**
 * The rows of a plane about the one being worked on, each fetched once as the work goes down, in arrays
 * of their own. For one thread.
 */
final class Window {
    private final Plane in;
    private final EdgeFill fill;
    private final int from;
    private final float[][] kept;
    private final long[] keptRow;

    /** Rows of the plane's width; any {@code count} that follow each other are kept at once. */
    Window(Plane in, EdgeFill fill, int count) {
        this(in, fill, count, 0);
    }

    /** Rows with {@code margin} samples more on either side. */
    Window(Plane in, EdgeFill fill, int count, int margin) {
        this(in, fill, count, -margin, in.width() + 2 * margin);
    }

    /** Rows of {@code length} samples from column {@code from} on, which may lie outside. */
    Window(Plane in, EdgeFill fill, int count, int from, int length) {
        this.in = in;
        this.fill = fill;
        this.from = from;
        this.kept = new float[count][length];
        this.keptRow = new long[count];
        Arrays.fill(keptRow, Long.MIN_VALUE);
    }

    /** A row, which may lie outside. */
    float[] row(int y) {
        int slot = Math.floorMod(y, kept.length);
        if (keptRow[slot] != y) {
            keptRow[slot] = y;
            fill.read(in, y, from, kept[slot], kept[slot].length);
        }
        return kept[slot];
    }
}
