package ivrik.core.treatment;

/** Maps values above a level to full and others to nothing, with a soft step. */
public final class Threshold implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "threshold",
                            "Threshold",
                            "Sets a channel to maximum above a level and to zero below.",
                            TreatmentGroup.TONE,
                            Control.PLOT,
                            Parameter.amount(0).example(100, 100),
                            Parameter.percent("level", "level", -100, 200, 50)
                                    .setting()
                                    .example(35, 65),
                            Parameter.percent("soft", "softness", 0, 100, 4).setting())
                    .with(Trait.POINTWISE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Curve curve(Settings settings, float low, float high) {
        float span = high - low;
        float level = (float) settings.share("level");
        float soft = (float) settings.share("soft");
        return v -> {
            float t = (v - low) / span - level;
            float step = soft == 0 ? (t < 0 ? 0 : 1) : Math.clamp(t / soft + 0.5f, 0f, 1f);
            return low + span * step * step * (3 - 2 * step);
        };
    }
}
