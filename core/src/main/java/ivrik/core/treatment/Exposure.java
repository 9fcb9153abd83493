package ivrik.core.treatment;

import ivrik.core.picture.ColourRows;

/** Linear light times two to the power of the stops. */
public final class Exposure implements PictureTreatment {
    private static final Option LIGHT =
            WorkingLight.choice(WorkingLight.LINEAR, WorkingLight.DELIVERED);
    private static final double MAX_STOPS = 12;
    private static final Description DESCRIPTION =
            Description.of(
                            "exposure",
                            "Exposure",
                            "Changes the exposure of the whole picture, in stops.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.of("stops", "stops", "stops", -MAX_STOPS, MAX_STOPS, 0, 0.1)
                                    .example(0.7, 0.7))
                    .choosing(LIGHT)
                    .with(Trait.POINTWISE, Trait.BY_CHANNEL, Trait.GRADES);

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
                WorkingLight.isLinear(settings, LIGHT)
                        ? WorkingLight.linear(context.transfer(), work)
                        : work);
    }

    private static void times(float[] values, float by, int n) {
        for (int i = 0; i < n; i++) {
            values[i] *= by;
        }
    }
}
