package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** A treatment of one channel. */
public non-sealed interface ChannelTreatment extends Treatment {
    /**
     * The treated channel, of the same size, at full amount; the caller mixes a partial amount. The input is
     * not modified. Work that needs only a few rows at a time should be deferred to the reader of the rows.
     */
    Rows apply(Plane channel, Settings settings, Context context);

    /** The same for a channel given as rows. */
    default Rows apply(Rows channel, Settings settings, Context context) {
        return apply(channel.toPlane(context.workers()), settings, context);
    }
}
