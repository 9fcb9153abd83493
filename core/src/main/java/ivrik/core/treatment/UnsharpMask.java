package ivrik.core.treatment;

import ivrik.core.filter.Gaussian;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** Sharpens a channel: in + strength (in - blurred). */
public final class UnsharpMask implements ChannelTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                    "unsharp",
                    "Sharpen",
                    "Sharpens a channel with an unsharp mask.",
                    TreatmentGroup.DETAIL,
                    Control.RULER,
                    Parameter.percent("strength", "strength", 0, 1000, 0).example(250, 40),
                    Parameter.of("radius", "radius", "px", 0.2, 200, 3, 0.5).setting());

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double sigma = settings.number("radius") / 2 * context.scale();
        float by = (float) settings.share("strength");
        Rows soft = Gaussian.of(channel, sigma, sigma, settings.edgeFill(), context.workers());
        return ChannelRows.of(
                Rows.of(channel),
                soft,
                (in, blurred, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = in[i] + by * (in[i] - blurred[i]);
                    }
                });
    }
}
