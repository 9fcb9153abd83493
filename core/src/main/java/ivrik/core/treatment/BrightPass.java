package ivrik.core.treatment;

/** Returns the excess of linear light over a soft threshold in stops. */
public final class BrightPass implements Tone {
    static final Parameter THRESHOLD =
            Parameter.of("threshold", "threshold", "stops", -6, 12, 1, 0.1).setting();

    private static final Description DESCRIPTION =
            Description.of(
                            "bright-pass",
                            "Bright pass",
                            "Keeps only the part of each value above a threshold, in stops above"
                                + " middle grey. Place it between two Linear light conversions.",
                            TreatmentGroup.TONE,
                            Control.PLOT,
                            Parameter.amount(0).example(100, 100),
                            THRESHOLD)
                    .with(Trait.POINTWISE)
                    .called("bright pass", "threshold", "glow", "halation");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Curve curve(Settings settings, float low, float high) {
        Knee knee = Knee.stopsOverGrey(settings.number(THRESHOLD.name()));
        return v -> low + (high - low) * knee.above((v - low) / (high - low));
    }
}
