package ivrik.core.treatment;

import ivrik.core.filter.Morphology;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/** Minimum or maximum of the neighbourhood: expands dark or bright areas. */
public final class MinimumMaximum implements ChannelTreatment {
    /** The operations and their order. */
    public static final Option ORDER =
            new Option(
                    "operation",
                    "operation",
                    "Maximum expands bright areas, minimum dark areas; or one after the other",
                    "maximum",
                    "minimum",
                    "maximum, minimum",
                    "minimum, maximum");

    /** Shape of the neighbourhood. */
    public static final Option SHAPE =
            new Option("shape", "shape", "Shape of the neighbourhood", "square", "round");

    private static final Description DESCRIPTION =
            Description.of(
                            "minimum-maximum",
                            "Minimum and maximum",
                            "Minimum and maximum filters: maximum expands bright areas, minimum"
                                    + " expands dark areas.",
                            TreatmentGroup.DETAIL,
                            Control.RULER,
                            Parameter.px("radius", "radius", 0, 200).example(6, 1))
                    .choosing(ORDER, SHAPE)
                    .with(Trait.SPREADS);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Plane channel, Settings settings, Context context) {
        double radius = settings.number("radius") * context.scale();
        boolean round = settings.choice(SHAPE).equals("round");
        Rows done = Rows.of(channel);
        for (String operation : settings.choice(ORDER).split(", ")) {
            Morphology kind =
                    operation.equals("minimum") ? Morphology.EROSION : Morphology.DILATION;
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
