package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** Work on a lane that takes its rows as they are made, and needs no plane of them. */
public interface StreamedTreatment extends LaneTreatment {
    @Override
    Rows apply(Rows lane, Settings settings, Context context);

    @Override
    default Rows apply(Plane lane, Settings settings, Context context) {
        return apply(Rows.of(lane), settings, context);
    }
}
