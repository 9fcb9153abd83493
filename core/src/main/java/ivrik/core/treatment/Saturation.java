package ivrik.core.treatment;

import ivrik.core.colour.Luma;
import ivrik.core.picture.ColourRows;

/** Each channel's distance from BT.709 luma times so much: Y + s (c - Y). */
public final class Saturation implements PictureTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "saturation",
                            "Saturation",
                            "Makes the colours of the whole picture stronger or weaker, down to"
                                    + " greys.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.percent("saturation", "saturation", 0, 400, 100)
                                    .shown(160, 160))
                    .with(Trait.POINTWISE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        float by = (float) settings.share("saturation");
        int width = picture.width();
        return picture.thenBy(
                () -> {
                    float[] luma = new float[width];
                    return (rgb, n) -> {
                        Luma.row(rgb, luma, n);
                        for (float[] channel : rgb) {
                            spread(luma, channel, by, n);
                        }
                    };
                });
    }

    /** Each value's distance from luma times so much. */
    static void spread(float[] luma, float[] channel, float by, int n) {
        for (int i = 0; i < n; i++) {
            channel[i] = luma[i] + by * (channel[i] - luma[i]);
        }
    }
}
