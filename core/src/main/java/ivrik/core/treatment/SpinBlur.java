package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Blur around a centre, growing with the distance from it. */
public final class SpinBlur implements LaneTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "spin",
                            "Spin blur",
                            "Blurs a lane around a centre, the more the further out.",
                            Group.BLUR,
                            Control.RULER,
                            Parameter.of("sweep", "sweep", "deg", 0, 90, 0, 0.1).shown(4, 0.5),
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
        double sweep = settings.number("sweep");
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        int n = Blurs.copies(Math.toRadians(sweep) * Centre.halfDiagonal(size));
        return Blurs.along(
                lane,
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
