package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.separation.LaneKind;

/**
 * Spreads a lane over the wavelengths it sees, each bent a little further: a prism's continuous
 * spectrum in place of three ghosts. There is a sample for each pixel of its length, so that it has no
 * gaps. The weights of each lane sum to one, so that flat areas stay exactly flat.
 */
public final class Dispersion implements LaneTreatment {
    /** Which way the spectrum lies. */
    public static final Option WAY =
            new Option("way", "way", "Which way the spectrum lies", "radial", "along an angle");

    private static final Description DESCRIPTION =
            Description.of(
                            "dispersion",
                            "Dispersion",
                            "Spreads the picture into a continuous spectrum, as a prism does.",
                            Group.MOVES,
                            Control.SPECTRUM,
                            Parameter.px("length", "length", -2000, 2000).shown(24, 24),
                            Parameter.degrees("angle", "angle").setting(),
                            Parameter.of("samples", "samples at least", "", 2, 128, 16, 1)
                                    .setting(),
                            Centre.X,
                            Centre.Y)
                    .choosing(WAY)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        Size size = lane.size();
        double length = settings.number("length") * context.scale();
        boolean radial = settings.word(WAY).equals(WAY.rest());
        double angle = Math.toRadians(settings.number("angle"));
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        double half = Centre.halfDiagonal(size);
        double farthest =
                StrictMath.hypot(Math.max(x, size.width() - x), Math.max(y, size.height() - y));
        double reach = Math.abs(length) * (radial ? farthest / half : 1);
        int n = (int) Math.max(Math.ceil(reach - 1e-9), Math.round(settings.number("samples")));
        return Blurs.along(
                lane,
                Spectrum.weights(context.lane(), n),
                place -> {
                    double by = length * place;
                    return radial
                            ? Affine.scaled(1 + by / half, 1 + by / half, x, y)
                            : Affine.moved(by * StrictMath.cos(angle), by * StrictMath.sin(angle));
                },
                settings,
                context);
    }

    /** How much of a lane lies at each of so many places along the spectrum, from short waves to long. */
    public static double[] weights(LaneKind lane, int samples) {
        return Spectrum.weights(lane, samples);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double reach = Math.abs(settings.number("length")) / 2 + 1;
        return before.inset(Math.ceil(reach), size);
    }
}
