package ivrik.core.treatment;

import ivrik.core.filter.MovingLeastSquares;
import ivrik.core.filter.Warp;
import ivrik.core.filter.WarpChain;
import ivrik.core.picture.Size;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Warps a channel by pins that hold or move points of the picture; the deformation between them is moving
 * least squares (Schaefer, McPhail, Warren 2006).
 */
public final class PinWarp implements Move {
    /** Kind of deformation. */
    public static final Option KIND =
            new Option(
                    "deformation",
                    "deformation",
                    "Deformation between pins. Rigid: moves and turns. Similarity: also scales."
                            + " Affine: also shears",
                    "rigid",
                    "similarity",
                    "affine");

    private static final double FAR_PX = 20000;

    /** Position and displacement of a pin. */
    public static final Series SERIES =
            new Series(
                    "pin",
                    Parameter.px("x", "x", -FAR_PX, FAR_PX).setting(),
                    Parameter.px("y", "y", -FAR_PX, FAR_PX).setting(),
                    Parameter.px("dx", "offset x", -FAR_PX, FAR_PX),
                    Parameter.px("dy", "offset y", -FAR_PX, FAR_PX));

    private static final Description DESCRIPTION =
            Description.of(
                            "pin-warp",
                            "Pin warp",
                            "Warps a channel by pins placed on the picture and dragged. Border pins"
                                    + " keep the edge of the picture in place.",
                            TreatmentGroup.MOVES,
                            Control.PINS,
                            Parameter.of(
                                            "border-spacing",
                                            "border pin spacing",
                                            "px",
                                            0,
                                            2000,
                                            120,
                                            10)
                                    .setting(),
                            Parameter.of("iterations", "iterations", "", 1, 20, 1, 1).setting())
                    .choosing(KIND)
                    .listing(SERIES)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean keepsEdge(Settings settings) {
        return settings.number("border-spacing") > 0;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double scale = context.scale();
        List<MovingLeastSquares.Pin> pins = new ArrayList<>();
        for (int i = 0; i < settings.count(SERIES); i++) {
            pins.add(
                    new MovingLeastSquares.Pin(
                            size.width() / 2.0 + settings.number(SERIES, i, "x") * scale,
                            size.height() / 2.0 + settings.number(SERIES, i, "y") * scale,
                            settings.number(SERIES, i, "dx") * scale,
                            settings.number(SERIES, i, "dy") * scale));
        }
        MovingLeastSquares.Kind kind =
                switch (settings.choice(KIND)) {
                    case "similarity" -> MovingLeastSquares.Kind.SIMILAR;
                    case "affine" -> MovingLeastSquares.Kind.AFFINE;
                    default -> MovingLeastSquares.Kind.RIGID;
                };
        Warp once =
                MovingLeastSquares.of(pins, settings.number("border-spacing") * scale, kind, size);
        int times = (int) Math.max(1, Math.round(settings.number("iterations")));
        return times == 1 ? once : new WarpChain(Collections.nCopies(times, once));
    }
}
