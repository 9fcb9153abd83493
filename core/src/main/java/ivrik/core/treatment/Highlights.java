package ivrik.core.treatment;

/** Leaves what is brighter than a soft threshold, as much as it is brighter. Its stops are those of linear light. */
public final class Highlights implements Tone {
    static final Parameter THRESHOLD =
            Parameter.of("threshold", "from", "stops", -6, 12, 1, 0.1).setting();

    private static final Description DESCRIPTION =
            Description.of(
                            "highlights",
                            "Highlights",
                            "Leaves only what is brighter than a threshold; between steps to and"
                                    + " from linear light, in stops over middle grey.",
                            Group.TONE,
                            Control.PLOT,
                            Parameter.amount(0).shown(100, 100),
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
