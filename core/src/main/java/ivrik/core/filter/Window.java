package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

import java.util.Arrays;

/**
 * The rows about the one being worked on, each fetched or made once as the work goes down, in arrays
 * of their own. For one thread.
 */
final class Window {
    /** What the rows are fetched from; null where they are made. */
    private final Plane plane;

    private final Rows.Reader reader;
    private final int height;
    private final float[] made;
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

    Window(Plane in, EdgeFill fill, int count, int from, int length) {
        this(Rows.of(in), fill, count, from, length);
    }

    /** Rows of {@code length} samples from column {@code from} on, which may lie outside. */
    Window(Rows in, EdgeFill fill, int count, int from, int length) {
        this.plane = in.plane().orElse(null);
        this.reader = plane == null ? in.reader() : null;
        this.height = in.height();
        this.made = new float[plane == null ? in.width() : 0];
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
            fetch(y, kept[slot]);
        }
        return kept[slot];
    }

    private void fetch(int y, float[] row) {
        if (plane != null) {
            fill.read(plane, y, from, row, row.length);
            return;
        }
        int inside = fill.inside(y, height);
        if (inside < 0) {
            Arrays.fill(row, 0);
        } else {
            reader.row(inside, made, 0);
            fill.read(made, 0, made.length, from, row, row.length);
        }
    }
}
