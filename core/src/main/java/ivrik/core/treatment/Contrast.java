package ivrik.core.treatment;

import ivrik.core.colour.Transfer;
import ivrik.core.colour.TransferTable;
import ivrik.core.picture.ColourRows;

import java.util.function.DoubleUnaryOperator;

/**
 * Distances from a pivot times so much: of the values as they are delivered, p + k (v - p), or in stops of
 * light, p (v / p)^k, which leaves black black.
 */
public final class Contrast implements PictureTreatment {
    private static final Option LIGHT = Light.choice(Light.DELIVERED, Light.LINEAR);

    /** A middle grey as sRGB delivers it, in per cent. */
    private static final double MIDDLE_GREY = 46;

    private static final double LEAST_PIVOT = 1e-4;

    private static final Description DESCRIPTION =
            Description.of(
                            "contrast",
                            "Contrast",
                            "Draws light and dark of the whole picture further from each other"
                                    + " about a pivot, or nearer.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.percent("contrast", "contrast", 0, 400, 100).shown(150, 150),
                            Parameter.percent("pivot", "about", 1, 100, MIDDLE_GREY).setting())
                    .choosing(LIGHT)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL)
                    .called("flat", "punch", "gamma");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        double by = settings.share("contrast");
        double pivot = settings.share("pivot");
        if (!Light.isLinear(settings, LIGHT)) {
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
        return Light.through(picture, table);
    }

    private static void draw(float[] values, float by, float pivot, int n) {
        for (int i = 0; i < n; i++) {
            values[i] = pivot + by * (values[i] - pivot);
        }
    }

    /** Less than black is as far below black. */
    private record InStops(Transfer transfer, double by, double pivot)
            implements DoubleUnaryOperator {
        @Override
        public double applyAsDouble(double v) {
            double light = Math.max(LEAST_PIVOT, transfer.toLinear(pivot));
            double over = transfer.toLinear(v) / light;
            double drawn = Math.copySign(StrictMath.pow(Math.abs(over), by), over);
            return transfer.fromLinear(light * drawn);
        }
    }
}
