package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;
import ivrik.core.picture.Workers;

import java.util.List;

/** Moves a lane: positive x to the right, positive y down; exact on whole pixels. */
public final class Shift implements Treatment {
    private static final double FAR_PX = 20000;
    private static final Description DESCRIPTION =
            new Description(
                    "shift",
                    "Shift",
                    "Moves a lane against the others, so that its edges part from theirs.",
                    true,
                    List.of(
                            new Parameter("x", "x", "px", -FAR_PX, FAR_PX, 0, 1, true),
                            new Parameter("y", "y", "px", -FAR_PX, FAR_PX, 0, 1, true)));

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, double scale, Workers workers) {
        return new Translation(
                lane, settings.number("x") * scale, settings.number("y") * scale, settings);
    }

    @Override
    public Covered covered(Covered before, Settings settings, Size size) {
        double x = settings.number("x");
        double y = settings.number("y");
        int reachX = reach(x, settings);
        int reachY = reach(y, settings);
        return new Covered(
                        Math.ceil(before.left() + x + reachX),
                        Math.ceil(before.top() + y + reachY),
                        Math.floor(before.right() + x - reachX),
                        Math.floor(before.bottom() + y - reachY))
                .and(Covered.all(size));
    }

    /** How far between pixels a value looks beyond the next one. */
    private static int reach(double shift, Settings settings) {
        return shift == Math.rint(shift) ? 0 : -settings.sampler().firstTap();
    }
}
