package ivrik.core.treatment;

import ivrik.core.filter.Disc;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** The mean of a disc, as a lens out of focus gives it. Its radius is two sigma, and the disc's. */
public final class DiscBlur implements LaneTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "disc",
                            "Disc blur",
                            "Blurs a lane as a lens out of focus does: lights become discs.",
                            Group.BLUR,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, 250).shown(14, 1))
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double radius = Math.max(0.5, settings.number("radius") * context.scale());
        return new Disc(lane, radius, settings.edgeFill());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, settings.number("radius"), size);
    }
}
