package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Radial blur from a centre, growing with the radius. */
public final class ZoomBlur implements ChannelTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "zoom",
                            "Zoom blur",
                            "Blurs a channel outwards from a centre, increasing with distance.",
                            TreatmentGroup.BLUR,
                            Control.RULER,
                            Parameter.px("length", "length at the corner", 0, 1000).example(50, 6),
                            Centre.X,
                            Centre.Y)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        Size size = channel.size();
        double length = settings.number("length") * context.scale();
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        int n = Blurs.copies(length);
        return Blurs.along(
                channel,
                Blurs.even(n),
                place -> {
                    double far = 1 + length * place / Centre.halfDiagonal(size);
                    return Affine.scaled(far, far, x, y);
                },
                settings,
                context);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, settings.number("length") / 2 + 1, size);
    }
}
