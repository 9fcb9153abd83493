package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Copies;
import ivrik.core.filter.Copies.Copy;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.separation.LaneKind;

import java.util.ArrayList;
import java.util.List;

/**
 * Spreads a lane over the wavelengths it sees, each bent a little further: a prism's continuous
 * spectrum in place of three ghosts. The weights of each lane sum to one, so that flat areas stay
 * exactly flat.
 */
public final class Dispersion implements Treatment {
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
                            Parameter.of("samples", "samples", "", 2, 128, 16, 1).setting(),
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
        return new Copies(lane, copies(settings, lane.size(), context), settings.edgeFill());
    }

    /** How much of a lane lies at each of so many places along the spectrum, from short waves to long. */
    public static double[] weights(LaneKind lane, int samples) {
        return Spectrum.weights(lane, samples);
    }

    private static List<Copy> copies(Settings settings, Size size, Context context) {
        int n = (int) Math.round(settings.number("samples"));
        double length = settings.number("length") * context.scale();
        double[] weights = Spectrum.weights(context.lane(), n);
        boolean radial = settings.word(WAY).equals(WAY.rest());
        double angle = Math.toRadians(settings.number("angle"));
        double x = Centre.x(settings, size, context);
        double y = Centre.y(settings, size, context);
        List<Copy> copies = new ArrayList<>();
        for (int k = 0; k < n; k++) {
            double by = length * ((k + 0.5) / n - 0.5);
            double far = 1 + by / Centre.halfDiagonal(size);
            Affine at =
                    radial
                            ? Affine.scaled(far, far, x, y)
                            : Affine.moved(by * StrictMath.cos(angle), by * StrictMath.sin(angle));
            if (weights[k] != 0) {
                copies.add(new Copy(at, weights[k]));
            }
        }
        return copies;
    }

    @Override
    public Covered covered(Covered before, Settings settings, Size size) {
        double reach = Math.abs(settings.number("length")) / 2 + 1;
        return before.inset(Math.ceil(reach), size);
    }
}
