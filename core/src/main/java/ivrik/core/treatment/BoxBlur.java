package ivrik.core.treatment;

import ivrik.core.filter.BoxFilter;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/**
 * Mean of a square. The radius is two sigma: the side of the square is the radius times the square root of 3.
 */
public final class BoxBlur implements ChannelTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "box",
                            "Box blur",
                            "Box blur of a channel: an average over a rectangle.",
                            TreatmentGroup.BLUR,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, 1000).example(16, 2),
                            Blurs.ACROSS,
                            Blurs.DOWN)
                    .noting(
                            "The box is 1.73 radii wide, which matches the strength of a Gaussian"
                                    + " blur of the same radius.")
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        return Blurs.isNeutral(settings);
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double side = settings.number("radius") * context.scale() * Math.sqrt(3);
        return BoxFilter.of(
                channel,
                window(side * settings.share("across")),
                window(side * settings.share("down")),
                settings.edgeFill());
    }

    /** Width of a discrete window with the variance of the continuous box. */
    static double window(double side) {
        return Math.sqrt(side * side + 1);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, settings.number("radius"), size);
    }
}
