package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

/**
 * A curve for all channels together and for each channel; see {@link Curve} for the interpolation.
 */
public final class RgbCurves implements CurveTreatment {
    private static final Option LIGHT =
            WorkingLight.choice(WorkingLight.DELIVERED, WorkingLight.LINEAR);
    private static final Option OF =
            new Option(
                    "channel",
                    "channel",
                    "Channels that the curve applies to",
                    "all",
                    "red",
                    "green",
                    "blue");

    private static final Description DESCRIPTION =
            Description.of(
                            "rgb-curves",
                            "RGB curves",
                            "Tone curve of the whole picture, or of its red, green or blue.",
                            TreatmentGroup.WHOLE,
                            Control.PLOT)
                    .choosing(LIGHT, OF)
                    .listing(Curve.SERIES)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL, Trait.GRADES);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        boolean linear = WorkingLight.isLinear(settings, LIGHT);
        TransferTable table = Curve.table(settings, linear ? context.transfer() : Transfer.LINEAR);
        int only = OF.choices().indexOf(settings.choice(OF)) - 1;
        return only < 0
                ? WorkingLight.through(picture, table)
                : picture.then((rgb, n) -> table.apply(rgb[only], n));
    }
}
