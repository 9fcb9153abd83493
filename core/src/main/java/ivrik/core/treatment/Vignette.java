package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Size;

/**
 * Darkens towards the corners in linear light: no change within the inner radius, the full stops at the
 * corner (half a diagonal from the centre) and beyond, and quadratic growth between.
 */
public final class Vignette implements PictureTreatment {
    /** Table size over the squared radius, up to twice the corner's radius. */
    private static final int STEPS = 4096;

    private static final double FARTHEST = 4;

    private static final Description DESCRIPTION =
            Description.of(
                            "vignette",
                            "Vignette",
                            "Darkens or brightens the picture towards its corners.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.of("stops", "exposure at corner", "stops", -8, 8, 0, 0.1)
                                    .example(-1, -1),
                            Parameter.percent("inner", "inner radius", 0, 100, 30).setting(),
                            Centre.X,
                            Centre.Y)
                    .with(Trait.POINTWISE, Trait.PLACED, Trait.BY_CHANNEL, Trait.LIGHT)
                    .called("lens", "corners", "fall-off");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        Size size = new Size(picture.width(), picture.height());
        double x0 = size.width() / 2.0 + settings.number(Centre.X.name()) * context.scale();
        double y0 = size.height() / 2.0 + settings.number(Centre.Y.name()) * context.scale();
        double half = Centre.halfDiagonal(size);
        double inner = settings.share("inner");
        double stops = settings.number("stops");
        float[] times = table(stops, inner);
        int n = size.width();
        return WorkingLight.placed(
                picture,
                context.transfer(),
                () -> {
                    float[] by = new float[n];
                    return (y, rgb) -> {
                        double dy = (y + 0.5 - y0) / half;
                        for (int x = 0; x < n; x++) {
                            double dx = (x + 0.5 - x0) / half;
                            by[x] = at(times, dx * dx + dy * dy);
                        }
                        for (float[] channel : rgb) {
                            for (int x = 0; x < n; x++) {
                                channel[x] *= by[x];
                            }
                        }
                    };
                });
    }

    private static float[] table(double stops, double inner) {
        float[] times = new float[STEPS + 1];
        for (int i = 0; i <= STEPS; i++) {
            double r = Math.sqrt(FARTHEST * i / STEPS);
            double direction = Math.clamp((r - inner) / Math.max(1e-3, 1 - inner), 0, 1);
            times[i] = (float) StrictMath.pow(2, stops * direction * direction);
        }
        return times;
    }

    private static float at(float[] times, double square) {
        double at = Math.min(square / FARTHEST, 1) * STEPS;
        int before = Math.min(STEPS - 1, (int) at);
        return times[before] + (float) (at - before) * (times[before + 1] - times[before]);
    }
}
