package ivrik.core.treatment;

import ivrik.core.filter.BoxFilter;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

/** The mean of a square. Its radius is two sigma: a side of the square is the radius times root 3. */
public final class BoxBlur implements LaneTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "box",
                            "Box blur",
                            "Blurs a lane into squares with hard edges.",
                            Group.BLUR,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, 1000).shown(16, 2),
                            Blurs.ACROSS,
                            Blurs.DOWN)
                    .noting(
                            "The box is 1.73 times as wide as its radius: so it blurs as much as a"
                                    + " Gaussian of the same radius.")
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
    public Rows apply(Plane lane, Settings settings, Context context) {
        double side = settings.number("radius") * context.scale() * Math.sqrt(3);
        return BoxFilter.of(
                lane,
                window(side * settings.share("across")),
                window(side * settings.share("down")),
                settings.edgeFill());
    }

    /** The whole width of a window whose variance, that of its samples included, is the box's. */
    static double window(double side) {
        return Math.sqrt(side * side + 1);
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return Blurs.covered(before, settings, settings.number("radius"), size);
    }
}
