package ivrik.core.treatment;

/** value x gain + offset, raised to 1 / gamma; a negative value keeps its sign. */
public final class Gain implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "gain",
                            "Gain",
                            "Gain, offset and gamma of a channel.",
                            TreatmentGroup.TONE,
                            Control.PLOT,
                            Parameter.percent("gain", "gain", 0, 1000, 100).example(140, 80),
                            Parameter.percent("offset", "offset", -100, 100, 0),
                            Parameter.of("gamma", "gamma", "", 0.05, 20, 1, 0.05))
                    .with(Trait.POINTWISE, Trait.GRADES);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Curve curve(Settings settings, float low, float high) {
        float gain = (float) settings.share("gain");
        float offset = (float) settings.share("offset") * high;
        double power = 1 / settings.number("gamma");
        if (power == 1) {
            return v -> v * gain + offset;
        }
        return v -> Powers.signed((v * gain + offset) / high, power) * high;
    }
}
