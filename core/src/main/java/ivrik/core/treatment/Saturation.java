package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.picture.ColourRows;

/**
 * Scales the distance of each channel from BT.709 luma: Y + s (c - Y); rotates hue in the Cb/Cr plane of
 * BT.709 with constant luma.
 */
public final class Saturation implements PictureTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "saturation",
                            "Saturation",
                            "Raises or lowers the saturation of the whole picture, and rotates its"
                                    + " hue.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.percent("saturation", "saturation", 0, 400, 100)
                                    .example(160, 160),
                            Parameter.of("hue", "hue rotation", "deg", -180, 180, 0, 1))
                    .with(Trait.POINTWISE, Trait.GRADES);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        float by = (float) settings.share("saturation");
        double hue = Math.toRadians(settings.number("hue"));
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[] luma = new float[width];
                    return (rgb, n) -> {
                        Luma.row(rgb, luma, n);
                        for (float[] channel : rgb) {
                            spread(luma, channel, by, n);
                        }
                        if (hue != 0) {
                            turn(luma, rgb, hue, n);
                        }
                    };
                });
    }

    /** Rotates Cb and Cr, positive from blue towards red. */
    private static void turn(float[] luma, float[][] rgb, double by, int n) {
        float c = (float) StrictMath.cos(by);
        float s = (float) StrictMath.sin(by);
        for (int i = 0; i < n; i++) {
            float cb = (rgb[2][i] - luma[i]) / Luma.PER_CB;
            float cr = (rgb[0][i] - luma[i]) / Luma.PER_CR;
            float red = luma[i] + Luma.PER_CR * (s * cb + c * cr);
            float blue = luma[i] + Luma.PER_CB * (c * cb - s * cr);
            rgb[0][i] = red;
            rgb[1][i] =
                    (luma[i] - (float) Luma.RED * red - (float) Luma.BLUE * blue)
                            / (float) Luma.GREEN;
            rgb[2][i] = blue;
        }
    }

    /** Scales the distance of each value from luma. */
    static void spread(float[] luma, float[] channel, float by, int n) {
        for (int i = 0; i < n; i++) {
            channel[i] = luma[i] + by * (channel[i] - luma[i]);
        }
    }
}
