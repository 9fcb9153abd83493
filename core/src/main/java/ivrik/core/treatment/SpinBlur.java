package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Blur along circles around a centre, growing with the radius. */
public final class SpinBlur implements ChannelTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "spin",
                            "Spin blur",
                            "Blurs a channel around a centre, increasing with distance.",
                            TreatmentGroup.BLUR,
                            Control.RULER,
                            Parameter.of("sweep", "sweep", "deg", 0, 90, 0, 0.1).example(4, 0.5),
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
        double sweep = settings.number("sweep");
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        int n = Blurs.copies(Math.toRadians(sweep) * Centre.halfDiagonal(size));
        return Blurs.along(
                channel,
                Blurs.even(n),
                place -> Affine.turned(sweep * place, x, y),
                settings,
                context);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double reach = Math.toRadians(settings.number("sweep")) * Centre.halfDiagonal(size) / 2 + 1;
        return Blurs.covered(before, settings, reach, size);
    }
}
