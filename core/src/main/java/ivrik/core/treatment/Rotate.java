package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/** Rotates a channel about a point, clockwise; exact for right angles. */
public final class Rotate implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "rotate",
                            "Rotate",
                            "Rotates a channel about a point; the misregistration grows outwards.",
                            TreatmentGroup.MOVES,
                            Control.RULER,
                            Parameter.degrees("angle", "angle").stepping(0.1).example(1.2, -1.2),
                            Centre.X,
                            Centre.Y)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        return Affine.turned(
                settings.number("angle"),
                Centre.x(settings, size, context),
                Centre.y(settings, size, context));
    }
}
