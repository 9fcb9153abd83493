package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.separation.ChannelKind;

/**
 * Spreads a channel over the wavelengths it contains: a continuous spectrum as from a prism. One sample per
 * pixel of length avoids gaps. The weights of each channel add up to 1, so that flat areas stay exact.
 */
public final class Dispersion implements ChannelTreatment {
    /** Direction of the spectrum. */
    public static final Option DIRECTION =
            new Option(
                    "direction",
                    "direction",
                    "Direction of the spectrum",
                    "radial",
                    "along an angle");

    private static final Description DESCRIPTION =
            Description.of(
                            "dispersion",
                            "Dispersion",
                            "Spreads the picture into a continuous spectrum, as a prism does.",
                            TreatmentGroup.MOVES,
                            Control.SPECTRUM,
                            Parameter.px("length", "length", -2000, 2000).example(24, 24),
                            Parameter.degrees("angle", "angle").setting(),
                            Parameter.of("samples", "minimum samples", "", 2, 128, 16, 1).setting(),
                            Centre.X,
                            Centre.Y)
                    .choosing(DIRECTION)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        Size size = channel.size();
        double length = settings.number("length") * context.scale();
        boolean radial = settings.choice(DIRECTION).equals(DIRECTION.rest());
        double angle = Math.toRadians(settings.number("angle"));
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        double half = Centre.halfDiagonal(size);
        double farthest =
                StrictMath.hypot(Math.max(x, size.width() - x), Math.max(y, size.height() - y));
        double reach = Math.abs(length) * (radial ? farthest / half : 1);
        int n = (int) Math.max(Math.ceil(reach - 1e-9), Math.round(settings.number("samples")));
        return Blurs.along(
                channel,
                Spectrum.weights(context.channel(), n),
                place -> {
                    double by = length * place;
                    return radial
                            ? Affine.scaled(1 + by / half, 1 + by / half, x, y)
                            : Affine.moved(by * StrictMath.cos(angle), by * StrictMath.sin(angle));
                },
                settings,
                context);
    }

    /** Share of a channel at each of several positions, from short to long wavelengths. */
    public static double[] weights(ChannelKind channel, int samples) {
        return Spectrum.weights(channel, samples);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double reach = Math.abs(settings.number("length")) / 2 + 1;
        return before.inset(Math.ceil(reach), size);
    }
}
