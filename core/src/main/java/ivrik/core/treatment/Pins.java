package ivrik.core.treatment;

import ivrik.core.filter.Chain;
import ivrik.core.filter.PinWarp;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Size;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Bends a lane by pins: each holds a place of the picture and takes it somewhere else, and what is
 * between follows by moving least squares (Schaefer, McPhail, Warren 2006).
 */
public final class Pins implements Move {
    /** How what is between follows. */
    public static final Option KIND =
            new Option(
                    "kind",
                    "bends",
                    "How what lies between the pins may be changed: kept rigid, also made larger,"
                            + " or also slanted",
                    "rigid",
                    "similar",
                    "affine");

    private static final double FAR_PX = 20000;

    /** Where a pin stands, and how far it takes what it holds. */
    public static final Series SERIES =
            new Series(
                    "pin",
                    Parameter.px("x", "x", -FAR_PX, FAR_PX).setting(),
                    Parameter.px("y", "y", -FAR_PX, FAR_PX).setting(),
                    Parameter.px("dx", "moves x", -FAR_PX, FAR_PX),
                    Parameter.px("dy", "moves y", -FAR_PX, FAR_PX));

    private static final Description DESCRIPTION =
            Description.of(
                            "pins",
                            "Pins",
                            "Bends a lane by pins that are set on the picture and dragged.",
                            Group.MOVES,
                            Control.PINS,
                            Parameter.of("border", "border pins every", "px", 0, 2000, 120, 10)
                                    .setting(),
                            Parameter.of("times", "done so often", "", 1, 20, 1, 1).setting())
                    .choosing(KIND)
                    .listing(SERIES)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean keepsEdge(Settings settings) {
        return settings.number("border") > 0;
    }

    @Override
    public Warp warp(Settings settings, Size size, Context context) {
        double scale = context.scale();
        List<PinWarp.Pin> pins = new ArrayList<>();
        for (int i = 0; i < settings.count(SERIES); i++) {
            pins.add(
                    new PinWarp.Pin(
                            size.width() / 2.0 + settings.number(SERIES, i, "x") * scale,
                            size.height() / 2.0 + settings.number(SERIES, i, "y") * scale,
                            settings.number(SERIES, i, "dx") * scale,
                            settings.number(SERIES, i, "dy") * scale));
        }
        PinWarp.Kind kind =
                switch (settings.word(KIND)) {
                    case "similar" -> PinWarp.Kind.SIMILAR;
                    case "affine" -> PinWarp.Kind.AFFINE;
                    default -> PinWarp.Kind.RIGID;
                };
        Warp once = PinWarp.of(pins, settings.number("border") * scale, kind, size);
        int times = (int) Math.max(1, Math.round(settings.number("times")));
        return times == 1 ? once : new Chain(Collections.nCopies(times, once));
    }
}
