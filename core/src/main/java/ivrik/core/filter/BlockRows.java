package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.threads.Workers;

/**
 * Rows that are computed in blocks: each row depends on many rows above and below, so that starting within a
 * block costs as much as the whole block.
 */
interface BlockRows extends FilteredRows {
    int FEWEST = 32;

    /** Starting at a multiple of this number of rows is cheap. */
    int block();

    @Override
    default void into(Plane out, Workers workers) {
        int rows = block() * ((FEWEST + block() - 1) / block());
        workers.parts(
                (height() + rows - 1) / rows,
                part -> write(part * rows, Math.min(height(), (part + 1) * rows), out));
    }

    @Override
    default Rows ready(Workers workers) {
        return Rows.of(toPlane(workers));
    }
}
