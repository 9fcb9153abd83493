package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/** Scales a channel about a point. */
public final class Scale implements Move {
    private static final Description DESCRIPTION =
            Description.of(
                            "scale",
                            "Scale",
                            "Scales a channel about a point.",
                            TreatmentGroup.MOVES,
                            Control.RULER,
                            Parameter.percent("x", "horizontal", 1, 1000, 100)
                                    .stepping(0.1)
                                    .example(102, 98),
                            Parameter.percent("y", "vertical", 1, 1000, 100)
                                    .stepping(0.1)
                                    .example(102, 98),
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
