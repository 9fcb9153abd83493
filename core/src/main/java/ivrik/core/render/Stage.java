package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.treatment.ValidRegion;

/**
 * One piece of a look's road. A stage that changes nothing is left off the road when it is built; what a
 * stage makes depends on what comes in, and on its key.
 */
interface Stage {
    /** Whether the picture goes through untouched. */
    boolean isNeutral();

    /** All that the result depends on besides what comes in. */
    Object key();

    /**
     * What is left of the part of the picture that nothing from outside it has reached.
     *
     * @param size of the sequence
     */
    ValidRegion covered(ValidRegion before, Size size);

    /** Takes a picture along. Work that can wait until its rows are asked for is left to them. */
    void take(Passage passage);
}
