package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

/**
 * A curve of BT.709 luma: the change of luma is added to all channels, which keeps colour differences.
 */
public final class LumaCurve implements CurveTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "luma-curve",
                            "Luma curve",
                            "Tone curve of luma that keeps saturation.",
                            TreatmentGroup.WHOLE,
                            Control.PLOT)
                    .listing(Curve.SERIES)
                    .with(Trait.POINTWISE, Trait.GRADES)
                    .called("brightness", "tone", "contrast");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        TransferTable table = Curve.table(settings, Transfer.LINEAR);
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[] was = new float[width];
                    float[] is = new float[width];
                    return (rgb, n) -> {
                        Luma.row(rgb, was, n);
                        System.arraycopy(was, 0, is, 0, n);
                        table.apply(is, n);
                        for (float[] channel : rgb) {
                            for (int i = 0; i < n; i++) {
                                channel[i] += is[i] - was[i];
                            }
                        }
                    };
                });
    }
}
