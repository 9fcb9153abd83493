package ivrik.core.treatment;

import ivrik.core.filter.BoxFilter;
import ivrik.core.filter.Shear;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Blur along one direction with a box or a Gaussian profile. */
public final class DirectionalBlur implements ChannelTreatment {
    /** Profile along the direction. */
    public static final Option FALL =
            new Option(
                    "profile", "fall-off", "Profile of the blur along its length", "even", "soft");

    private static final Description DESCRIPTION =
            Description.of(
                            "directional",
                            "Directional blur",
                            "Blurs a channel along one direction, like motion blur.",
                            TreatmentGroup.BLUR,
                            Control.DIRECTION,
                            Parameter.px("length", "length", 0, 2000).example(40, 8),
                            Parameter.degrees("angle", "angle").setting())
                    .choosing(FALL)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double length = settings.number("length") * context.scale();
        double angle = settings.number("angle");
        if (settings.choice(FALL).equals("soft")) {
            double sigma = length / Math.sqrt(12);
            return GaussianBlur.along(channel, angle, sigma, settings, context);
        }
        return Shear.line(
                channel,
                angle,
                length / 2 + 1,
                settings.edgeFill(),
                context.workers(),
                (plane, rows, stretch) -> {
                    double window = BoxBlur.window(length * stretch);
                    return BoxFilter.of(
                            plane, rows ? window : 1, rows ? 1 : window, settings.edgeFill());
                });
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, settings.number("length") / 2 + 1, size);
    }
}
