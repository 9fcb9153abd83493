package ivrik.core.treatment;

import ivrik.core.filter.BoxFilter;
import ivrik.core.filter.Shear;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** Blur along one direction, evenly over a length or falling off softly. */
public final class DirectionalBlur implements LaneTreatment {
    /** How it falls off. */
    public static final Option FALL =
            new Option("fall", "falls off", "How the blur falls off", "evenly", "softly");

    private static final Description DESCRIPTION =
            Description.of(
                            "directional",
                            "Directional blur",
                            "Blurs a lane along a line, as if it had moved.",
                            Group.BLUR,
                            Control.DIRECTION,
                            Parameter.px("length", "length", 0, 2000).shown(40, 8),
                            Parameter.degrees("angle", "angle").setting())
                    .choosing(FALL)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double length = settings.number("length") * context.scale();
        double angle = settings.number("angle");
        if (settings.word(FALL).equals("softly")) {
            double sigma = length / Math.sqrt(12);
            return GaussianBlur.along(lane, angle, sigma, settings, context);
        }
        return Shear.line(
                lane,
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
