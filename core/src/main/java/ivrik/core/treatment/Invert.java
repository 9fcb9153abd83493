package ivrik.core.treatment;

/** Inverts a channel's values. */
public final class Invert implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "invert",
                            "Invert",
                            "Inverts a channel.",
                            TreatmentGroup.TONE,
                            Control.PLOT,
                            Parameter.amount(0).example(100, 0))
                    .with(Trait.POINTWISE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Curve curve(Settings settings, float low, float high) {
        return v -> low + high - v;
    }
}
