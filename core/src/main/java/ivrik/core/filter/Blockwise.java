package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.threads.Workers;

/**
 * Rows that are made block by block: each looks at many others above and below, and to begin anywhere but
 * at the edge of a block costs as much as the whole block.
 */
interface Blockwise extends Filtered {
    int FEWEST = 32;

    /** It is cheap to begin at multiples of so many rows. */
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
