package ivrik.core.treatment;

import ivrik.core.filter.Morphology;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** The least or the greatest value within a radius: thickens the darks or the lights. */
public final class MinMax implements LaneTreatment {
    /** What is done, in which order. */
    public static final Option ORDER =
            new Option(
                    "order",
                    "does",
                    "Thickens the lights, the darks, or one after the other",
                    "maximum",
                    "minimum",
                    "maximum, minimum",
                    "minimum, maximum");

    /** The shape looked at. */
    public static final Option SHAPE =
            new Option("shape", "shape", "What is looked at about each pixel", "square", "round");

    private static final Description DESCRIPTION =
            Description.of(
                            "min-max",
                            "Min and max",
                            "Thickens the lights or the darks of a lane.",
                            Group.DETAIL,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, 200).shown(6, 1))
                    .choosing(ORDER, SHAPE)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane lane, Settings settings, Context context) {
        double radius = settings.number("radius") * context.scale();
        boolean round = settings.word(SHAPE).equals("round");
        Rows done = Rows.of(lane);
        for (String word : settings.word(ORDER).split(", ")) {
            Morphology kind = word.equals("minimum") ? Morphology.EROSION : Morphology.DILATION;
            done =
                    kind.of(
                            done.toPlane(context.workers()),
                            radius,
                            round,
                            settings.edgeFill(),
                            context.workers());
        }
        return done;
    }
}
