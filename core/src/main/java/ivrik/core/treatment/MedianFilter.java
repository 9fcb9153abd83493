package ivrik.core.treatment;

import ivrik.core.filter.Median;
import ivrik.core.picture.Plane;
import ivrik.core.picture.PlaneArithmetic;
import ivrik.core.picture.Rows;

/** Median of the neighbourhood: removes single specks and keeps edges. */
public final class MedianFilter implements ChannelTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                    "median",
                    "Median",
                    "Removes isolated specks from a channel and keeps edges.",
                    TreatmentGroup.DETAIL,
                    Control.RULER,
                    Parameter.of("radius", "radius", "px", 0, 2, 0, 0.5).example(2, 1));

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    /** Fractional radii interpolate between the results of whole radii. */
    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double radius = settings.number("radius") * context.scale();
        int low = (int) Math.min(2, Math.floor(radius));
        float rest = (float) (Math.min(2, radius) - low);
        Rows less = median(channel, low, settings);
        if (rest == 0) {
            return less;
        }
        Plane more = median(channel, low + 1, settings).toPlane(context.workers());
        return Rows.of(
                PlaneArithmetic.mix(
                        less.toPlane(context.workers()), more, rest, context.workers()));
    }

    private static Rows median(Plane channel, int pixels, Settings settings) {
        return pixels == 0 ? Rows.of(channel) : new Median(channel, pixels, settings.edgeFill());
    }
}
