package ivrik.core.treatment;

import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

/**
 * Makes the numbers of a picture those of linear light, or back. Between two of them blurs, blends and sums do
 * what light does.
 */
public final class LinearLight implements PictureTreatment {
    /** Chosen of {@link #WAY}. */
    public static final String BACK = "back from linear light";

    /** Which way. */
    public static final Option WAY =
            new Option(
                    "way",
                    "turns it",
                    "From the numbers as they are delivered to those of linear light, or back",
                    "to linear light",
                    BACK);

    private static final Description DESCRIPTION =
            Description.of(
                            "linear-light",
                            "Linear light",
                            "Turns the picture's numbers into those of light, or back; what is done"
                                    + " between acts as light does.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.amount(0).shown(100, 100))
                    .choosing(WAY)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL)
                    .called("gamma", "linearise", "transfer function");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        TransferTable table =
                settings.word(WAY).equals(BACK)
                        ? TransferTable.fromLinear(context.transfer())
                        : TransferTable.toLinear(context.transfer());
        return Light.through(picture, table);
    }
}
