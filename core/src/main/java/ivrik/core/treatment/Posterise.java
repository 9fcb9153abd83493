package ivrik.core.treatment;

/** Reduces a channel to a few levels. */
public final class Posterise implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "posterise",
                            "Posterise",
                            "Reduces a channel to a few levels.",
                            TreatmentGroup.TONE,
                            Control.PLOT,
                            Parameter.amount(0).example(100, 100),
                            Parameter.of("levels", "levels", "", 2, 64, 4, 1)
                                    .setting()
                                    .example(3, 6))
                    .with(Trait.POINTWISE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Curve curve(Settings settings, float low, float high) {
        float steps = (float) Math.max(1, Math.rint(settings.number("levels")) - 1);
        float span = high - low;
        return v -> low + span * (float) Math.rint((v - low) / span * steps) / steps;
    }
}
