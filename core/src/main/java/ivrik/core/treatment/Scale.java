package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/** Makes a lane larger or smaller about a point. */
public final class Scale implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "scale",
                            "Scale",
                            "Makes a lane a little larger or smaller than the others, about a"
                                    + " point.",
                            Group.MOVES,
                            Control.RULER,
                            Parameter.percent("x", "across", 1, 1000, 100)
                                    .stepping(0.1)
                                    .shown(102, 98),
                            Parameter.percent("y", "down", 1, 1000, 100)
                                    .stepping(0.1)
                                    .shown(102, 98),
                            Centre.X,
                            Centre.Y)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        return Affine.scaled(
                settings.share("x"),
                settings.share("y"),
                Centre.x(settings, size, context),
                Centre.y(settings, size, context));
    }
}
