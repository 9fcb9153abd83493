package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;

/** One kind of work on a lane. Implementations are stateless. */
public interface Treatment {
    Description description();

    /** Whether these settings change nothing at all; then {@link #apply} is not called. */
    default boolean isNeutral(Settings settings) {
        return description().parameters().stream()
                .allMatch(p -> settings.number(p.name()) == p.rest());
    }

    /**
     * The treated lane, of the same size; the lane itself is left as it is. Work that needs no more
     * than a few rows of the lane at a time is best left to the reader of the rows.
     *
     * @param scale pixels of {@code lane} to a pixel of the full-size sequence, over 0
     */
    Rows apply(Plane lane, Settings settings, double scale, Workers workers);

    /**
     * What is left of the part of a lane that nothing from outside the picture has reached. What does
     * not move or spread the lane leaves it.
     *
     * @param size of the sequence
     */
    default Covered covered(Covered before, Settings settings, Size size) {
        return before;
    }
}
