package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** One kind of work on a lane. Implementations are stateless. */
public interface Treatment {
    Description description();

    /**
     * Whether these settings change nothing at all; then {@link #apply} is not called. As a rule that
     * is so when nothing of it is done, or when all parameters that drive it are at rest.
     */
    default boolean isNeutral(Settings settings) {
        return settings.amount() == 0
                || description().parameters().stream()
                                .filter(Parameter::drives)
                                .allMatch(p -> settings.number(p.name()) == p.rest())
                        && description().series().stream().allMatch(s -> settings.count(s) == 0);
    }

    /**
     * The treated lane, of the same size; the lane itself is left as it is. All of it: what is left of
     * the amount is mixed in by the caller. Work that needs no more than a few rows of the lane at a
     * time is best left to the reader of the rows.
     */
    Rows apply(Plane lane, Settings settings, Context context);

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
