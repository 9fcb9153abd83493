package ivrik.core.treatment;

import ivrik.core.filter.DiscMean;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/**
 * Mean of a disc, as in an out-of-focus lens. The radius is two sigma, and the radius of the disc.
 */
public final class DiscBlur implements ChannelTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "disc",
                            "Disc blur",
                            "Defocus blur: points of light become discs.",
                            TreatmentGroup.BLUR,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, 250).example(14, 1))
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double radius = Math.max(0.5, settings.number("radius") * context.scale());
        return new DiscMean(channel, radius, settings.edgeFill());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, settings.number("radius"), size);
    }
}
