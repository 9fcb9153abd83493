package ivrik.core.treatment;

import ivrik.core.filter.Median;
import ivrik.core.picture.Kernels;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** The middle value about each pixel: single specks go, edges stay. */
public final class MedianFilter implements LaneTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                    "median",
                    "Median",
                    "Takes single specks out of a lane and leaves its edges.",
                    Group.DETAIL,
                    Control.RULER,
                    Parameter.of("radius", "radius", "px", 0, 2, 0, 0.5).shown(2, 1));

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    /** Between whole radii it is between their results. */
    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double radius = settings.number("radius") * context.scale();
        int low = (int) Math.min(2, Math.floor(radius));
        float rest = (float) (Math.min(2, radius) - low);
        Rows less = median(lane, low, settings);
        if (rest == 0) {
            return less;
        }
        Plane more = median(lane, low + 1, settings).toPlane(context.workers());
        return Rows.of(Kernels.mix(less.toPlane(context.workers()), more, rest, context.workers()));
    }

    private static Rows median(Plane lane, int reach, Settings settings) {
        return reach == 0 ? Rows.of(lane) : new Median(lane, reach, settings.edgeFill());
    }
}
