package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.treatment.ValidRegion;

/**
 * One stage of a look's pipeline. Stages without effect are left out when the pipeline is built. The result
 * depends only on the input and the key.
 */
interface Stage {
    /** Whether the picture stays unchanged. */
    boolean isNeutral();

    /** Everything that the result depends on besides the input. */
    Object key();

    /**
     * The part of the picture that nothing from outside has reached after this stage.
     *
     * @param size of the sequence
     */
    ValidRegion covered(ValidRegion before, Size size);

    /**
     * Runs the stage. Work that can be done row by row is deferred until the rows are requested.
     */
    void take(PictureState state);
}
