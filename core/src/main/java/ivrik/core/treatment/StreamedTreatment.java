package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** A treatment that reads rows as they are computed, without a plane. */
public interface StreamedTreatment extends ChannelTreatment {
    @Override
    Rows apply(Rows channel, Settings settings, Context context);

    @Override
    default Rows apply(Plane channel, Settings settings, Context context) {
        return apply(Rows.of(channel), settings, context);
    }
}
