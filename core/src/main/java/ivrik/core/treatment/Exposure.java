package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;

/** Light times two to the power of so many stops. */
public final class Exposure implements PictureTreatment {
    private static final Option LIGHT = Light.choice(Light.LINEAR, Light.DELIVERED);
    private static final double MOST_STOPS = 12;
    private static final Description DESCRIPTION =
            Description.of(
                            "exposure",
                            "Exposure",
                            "Makes the whole picture brighter or darker, as a longer or shorter"
                                    + " exposure does.",
                            Group.WHOLE,
                            Control.RULER,
                            Parameter.of("stops", "stops", "stops", -MOST_STOPS, MOST_STOPS, 0, 0.1)
                                    .shown(0.7, 0.7))
                    .choosing(LIGHT)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        float times = (float) StrictMath.pow(2, settings.number("stops"));
        ColourRows.Work work =
                (rgb, n) -> {
                    for (float[] channel : rgb) {
                        times(channel, times, n);
                    }
                };
        return picture.then(
                Light.isLinear(settings, LIGHT) ? Light.linear(context.transfer(), work) : work);
    }

    private static void times(float[] values, float by, int n) {
        for (int i = 0; i < n; i++) {
            values[i] *= by;
        }
    }
}
