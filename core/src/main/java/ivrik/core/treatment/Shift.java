package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
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
}
