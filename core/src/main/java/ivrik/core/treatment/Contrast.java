package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

import java.util.function.DoubleUnaryOperator;

/**
 * Scales the distance from a pivot: of gamma-encoded values, p + k (v - p), or in stops of linear light, p (v
 * / p)^k, which keeps black.
 */
public final class Contrast implements PictureTreatment {
    private static final Option LIGHT =
            WorkingLight.choice(WorkingLight.DELIVERED, WorkingLight.LINEAR);

    /** Middle grey as gamma-encoded sRGB, in per cent. */
    private static final double MIDDLE_GREY = 46;

    private static final double MIN_PIVOT = 1e-4;

    private static final Description DESCRIPTION =
            Description.of(
                            "contrast",
                            "Contrast",
                            "Raises or lowers the contrast of the whole picture about a pivot.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.percent("contrast", "contrast", 0, 400, 100)
                                    .example(150, 150),
                            Parameter.percent("pivot", "pivot", 1, 100, MIDDLE_GREY).setting())
                    .choosing(LIGHT)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL, Trait.GRADES)
                    .called("flat", "punch", "gamma");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        double by = settings.share("contrast");
        double pivot = settings.share("pivot");
        if (!WorkingLight.isLinear(settings, LIGHT)) {
            float k = (float) by;
            float p = (float) pivot;
            return picture.then(
                    (rgb, n) -> {
                        for (float[] channel : rgb) {
                            draw(channel, k, p, n);
                        }
                    });
        }
        TransferTable table = TransferTable.kept(new InStops(context.transfer(), by, pivot));
        return WorkingLight.through(picture, table);
    }

    private static void draw(float[] values, float by, float pivot, int n) {
        for (int i = 0; i < n; i++) {
            values[i] = pivot + by * (values[i] - pivot);
        }
    }

    /** Negative values are mirrored. */
    private record InStops(Transfer transfer, double by, double pivot)
            implements DoubleUnaryOperator {
        @Override
        public double applyAsDouble(double v) {
            double light = Math.max(MIN_PIVOT, transfer.toLinear(pivot));
            double over = transfer.toLinear(v) / light;
            double drawn = Math.copySign(StrictMath.pow(Math.abs(over), by), over);
            return transfer.fromLinear(light * drawn);
        }
    }
}
