package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

/**
 * The rows about the one being worked on, each fetched or made once as the work goes down, in arrays
 * of their own. For one thread.
 */
final class Window {
    private final KeptRows rows;

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
        rows =
                new KeptRows(
                        count,
                        length,
                        in.plane()
                                .map(plane -> fetching(plane, fill, from))
                                .orElseGet(() -> making(in, fill, from)));
    }

    private static KeptRows.Maker fetching(Plane plane, EdgeFill fill, int from) {
        return (y, row) -> fill.read(plane, y, from, row, row.length);
    }

    private static KeptRows.Maker making(Rows in, EdgeFill fill, int from) {
        KeptRows.Maker maker = KeptRows.of(in, fill, 0);
        float[] made = new float[in.width()];
        return (y, row) -> {
            maker.row(y, made);
            fill.read(made, 0, made.length, from, row, row.length);
        };
    }

    /** A row, which may lie outside. */
    float[] row(int y) {
        return rows.row(y);
    }
}
