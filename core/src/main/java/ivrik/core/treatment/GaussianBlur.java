package ivrik.core.treatment;

import ivrik.core.filter.Gaussian;
import ivrik.core.filter.RotatedGaussian;
import ivrik.core.filter.Shear;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/**
 * Gaussian blur with separate radii for two perpendicular directions at any angle. The radius is two sigma.
 */
public final class GaussianBlur implements StreamedTreatment {
    private static final double FAR_PX = 1000;
    private static final Description DESCRIPTION =
            Description.of(
                            "gaussian",
                            "Gaussian blur",
                            "Gaussian blur of a channel, in both directions or one.",
                            TreatmentGroup.BLUR,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, FAR_PX).example(16, 2),
                            Blurs.ACROSS,
                            Blurs.DOWN,
                            Parameter.degrees("angle", "angle").setting())
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
    public Rows apply(Rows channel, Settings settings, Context context) {
        double sigma = settings.number("radius") / 2 * context.scale();
        double across = sigma * settings.share("across");
        double down = sigma * settings.share("down");
        double angle = settings.number("angle");
        if (angle % 90 == 0 || across == down) {
            boolean turned = Math.abs(angle % 180) == 90;
            return Gaussian.of(
                    channel,
                    turned ? down : across,
                    turned ? across : down,
                    settings.edgeFill(),
                    context.workers());
        }
        Plane plane = channel.toPlane(context.workers());
        if (across == 0 || down == 0) {
            return along(
                    plane,
                    down == 0 ? angle : angle + 90,
                    Math.max(across, down),
                    settings,
                    context);
        }
        return RotatedGaussian.of(
                plane, across, down, angle, settings.edgeFill(), context.workers());
    }

    /** Blurs along one direction by shearing. */
    static Rows along(
            Plane channel, double degrees, double sigma, Settings settings, Context context) {
        if (sigma == 0) {
            return Rows.of(channel);
        }
        return Shear.line(
                channel,
                degrees,
                4 * sigma,
                settings.edgeFill(),
                context.workers(),
                (plane, rows, stretch) ->
                        Gaussian.of(
                                plane,
                                rows ? sigma * stretch : 0,
                                rows ? 0 : sigma * stretch,
                                settings.edgeFill(),
                                context.workers()));
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, 1.5 * settings.number("radius"), size);
    }
}
