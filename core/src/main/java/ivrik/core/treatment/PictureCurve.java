package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.filter.MonotoneCurve;
import ivrik.core.picture.ColourRows;

import java.util.function.DoubleUnaryOperator;

/** One curve through points for all channels; see {@link Curve} for what lies between and beyond them. */
public final class PictureCurve implements PictureTreatment, Plot {
    private static final Option LIGHT = Light.choice(Light.DELIVERED, Light.LINEAR);
    private static final Description DESCRIPTION =
            Description.of(
                            "picture-curve",
                            "Picture curve",
                            "Changes what comes out for what goes in by one curve for the whole"
                                    + " picture.",
                            Group.WHOLE,
                            Control.PLOT)
                    .choosing(LIGHT)
                    .listing(Curve.SERIES)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public boolean isNeutral(Settings settings) {
        return Curve.isNeutralCurve(settings);
    }

    @Override
    public DoubleUnaryOperator plotted(Settings settings) {
        return Curve.through(settings)::at;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        MonotoneCurve curve = Curve.through(settings);
        Transfer transfer = context.colour().transfer();
        TransferTable table =
                TransferTable.of(
                        Light.isLinear(settings, LIGHT)
                                ? v -> transfer.fromLinear(curve.at(transfer.toLinear(v)))
                                : curve::at);
        return Light.through(picture, table);
    }
}
