package ivrik.core.treatment;

import ivrik.core.filter.Affine;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

/** Shifts a channel: positive x to the right, positive y down; exact for whole pixels. */
public final class Shift implements Move {
    private static final double FAR_PX = 20000;
    private static final Description DESCRIPTION =
            Description.of(
                            "shift",
                            "Shift",
                            "Shifts a channel against the others, so that colour fringes appear at"
                                    + " edges.",
                            TreatmentGroup.MOVES,
                            Control.PAD,
                            Parameter.px("x", "x", -FAR_PX, FAR_PX).jittering().example(8, -8),
                            Parameter.px("y", "y", -FAR_PX, FAR_PX).jittering().example(3, -3))
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        return Affine.moved(
                settings.number("x") * context.scale(), settings.number("y") * context.scale());
    }

    @Override
    public ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        double x = settings.number("x");
        double y = settings.number("y");
        int reachX = reach(x, settings);
        int reachY = reach(y, settings);
        return new ValidRegion(
                        Math.ceil(before.left() + x + reachX),
                        Math.ceil(before.top() + y + reachY),
                        Math.floor(before.right() + x - reachX),
                        Math.floor(before.bottom() + y - reachY))
                .and(ValidRegion.all(size));
    }

    /** Pixels beyond the nearest neighbour that the filter uses. */
    private static int reach(double shift, Settings settings) {
        return shift == Math.rint(shift) ? 0 : -settings.sampler().firstTap();
    }
}
