package ivrik.core.treatment;

/** Input black and white, output black and white, and gamma. */
public final class Levels implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "levels",
                            "Levels",
                            "Input and output levels of a channel, with gamma.",
                            TreatmentGroup.TONE,
                            Control.PLOT,
                            Parameter.percent("in-low", "input black", -100, 200, 0).example(12, 0),
                            Parameter.percent("in-high", "to", -100, 400, 100).example(80, 100),
                            Parameter.percent("out-low", "output black", -100, 200, 0)
                                    .example(0, 10),
                            Parameter.percent("out-high", "to", -100, 200, 100).example(100, 90),
                            Parameter.of("gamma", "gamma", "", 0.05, 20, 1, 0.05))
                    .with(Trait.POINTWISE, Trait.GRADES);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Curve curve(Settings settings, float low, float high) {
        double inLow = settings.share("in-low");
        double range = settings.share("in-high") - inLow;
        double by = 1 / (Math.abs(range) < 1e-4 ? 1e-4 : range);
        double outLow = settings.share("out-low");
        double out = settings.share("out-high") - outLow;
        double power = 1 / settings.number("gamma");
        double span = high - low;
        return v -> {
            double t = ((v - low) / span - inLow) * by;
            double shaped = power == 1 ? t : Math.signum(t) * StrictMath.pow(Math.abs(t), power);
            return (float) (low + span * (outLow + out * shaped));
        };
    }
}
