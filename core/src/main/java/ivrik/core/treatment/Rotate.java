package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/** Turns a lane about a point, clockwise; exact at right angles. */
public final class Rotate implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "rotate",
                            "Rotate",
                            "Turns a lane about a point, so that it parts from the others more and"
                                    + " more outward.",
                            Group.MOVES,
                            Control.RULER,
                            Parameter.degrees("angle", "angle").stepping(0.1).shown(1.2, -1.2),
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
