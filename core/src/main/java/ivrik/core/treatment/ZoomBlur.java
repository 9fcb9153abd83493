package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Blur outward from a centre, growing with the distance from it. */
public final class ZoomBlur implements LaneTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "zoom",
                            "Zoom blur",
                            "Blurs a lane outward from a centre, the more the further out.",
                            Group.BLUR,
                            Control.RULER,
                            Parameter.px("length", "length at the corner", 0, 1000).shown(50, 6),
                            Centre.X,
                            Centre.Y)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        Size size = lane.size();
        double length = settings.number("length") * context.scale();
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        int n = Blurs.copies(length);
        return Blurs.along(
                lane,
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
