package ivrik.core.treatment;

import ivrik.core.filter.Gaussian;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** Adds to a lane what a blur of it takes away: in + strength (in - blurred). */
public final class UnsharpMask implements LaneTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                    "unsharp",
                    "Sharpen",
                    "Sharpens a lane by adding what a blur would take from it (unsharp mask).",
                    Group.DETAIL,
                    Control.RULER,
                    Parameter.percent("strength", "strength", 0, 1000, 0).shown(250, 40),
                    Parameter.of("radius", "radius", "px", 0.2, 200, 3, 0.5).setting());

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double sigma = settings.number("radius") / 2 * context.scale();
        float by = (float) settings.share("strength");
        Rows soft = Gaussian.of(lane, sigma, sigma, settings.edgeFill(), context.workers());
        return LaneRows.of(
                Rows.of(lane),
                soft,
                (in, blurred, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = in[i] + by * (in[i] - blurred[i]);
                    }
                });
    }
}
