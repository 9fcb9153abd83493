package ivrik.core.treatment;

import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

/**
 * Converts a picture to linear light, or back. Between two such steps blurs, blends and sums work on light.
 */
public final class LinearLightConversion implements PictureTreatment {
    /** Choice of {@link #DIRECTION}. */
    public static final String BACK = "from linear light";

    /** Direction of the conversion. */
    public static final Option DIRECTION =
            new Option(
                    "direction",
                    "direction",
                    "From gamma-encoded values to linear light, or back",
                    "to linear light",
                    BACK);

    private static final Description DESCRIPTION =
            Description.of(
                            "linear-light",
                            "Linear light conversion",
                            "Converts between gamma-encoded values and linear light. Treatments"
                                    + " placed between two conversions work in linear light.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.amount(0).example(100, 100))
                    .choosing(DIRECTION)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL)
                    .called("gamma", "linearise", "transfer function");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        TransferTable table =
                settings.choice(DIRECTION).equals(BACK)
                        ? TransferTable.fromLinear(context.transfer())
                        : TransferTable.toLinear(context.transfer());
        return WorkingLight.through(picture, table);
    }
}
