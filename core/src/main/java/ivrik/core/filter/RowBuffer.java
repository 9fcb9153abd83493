package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;

/**
 * The rows around the current one, fetched once as processing moves down, each in its own array. For one
 * thread.
 */
final class RowBuffer {
    private final CachedRows rows;

    /**
     * @param count number of consecutive rows that are kept
     */
    RowBuffer(Plane in, EdgeFill fill, int count) {
        this(in, fill, count, 0);
    }

    /**
     * @param margin additional samples on either side
     */
    RowBuffer(Plane in, EdgeFill fill, int count, int margin) {
        this(in, fill, count, -margin, in.width() + 2 * margin);
    }

    RowBuffer(Plane in, EdgeFill fill, int count, int from, int length) {
        this(Rows.of(in), fill, count, from, length);
    }

    /**
     * @param from first column, may be outside the plane
     * @param length samples per row
     */
    RowBuffer(Rows in, EdgeFill fill, int count, int from, int length) {
        rows =
                new CachedRows(
                        count,
                        length,
                        in.plane()
                                .map(plane -> fetching(plane, fill, from))
                                .orElseGet(() -> making(in, fill, from)));
    }

    private static CachedRows.Maker fetching(Plane plane, EdgeFill fill, int from) {
        return (y, row) -> fill.read(plane, y, from, row, row.length);
    }

    private static CachedRows.Maker making(Rows in, EdgeFill fill, int from) {
        CachedRows.Maker maker = CachedRows.of(in, fill, 0);
        float[] made = new float[in.width()];
        return (y, row) -> {
            maker.row(y, made);
            fill.read(made, 0, made.length, from, row, row.length);
        };
    }

    /**
     * @param y may be outside the plane
     */
    float[] row(int y) {
        return rows.row(y);
    }
}
