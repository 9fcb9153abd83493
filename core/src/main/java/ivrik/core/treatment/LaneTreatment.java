package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** One kind of work on a lane. */
public non-sealed interface LaneTreatment extends Treatment {
    /**
     * The treated lane, of the same size; the lane itself is left as it is. All of it: what is left of
     * the amount is mixed in by the caller. Work that needs no more than a few rows of the lane at a
     * time is best left to the reader of the rows.
     */
    Rows apply(Plane lane, Settings settings, Context context);

    /** The same of a lane that is no plane yet. */
    default Rows apply(Rows lane, Settings settings, Context context) {
        return apply(lane.toPlane(context.workers()), settings, context);
    }
}
