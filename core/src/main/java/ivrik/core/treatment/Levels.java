package ivrik.core.treatment;

/** Sets what goes in as black and white, what comes out for them, and the gamma between. */
public final class Levels implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "levels",
                            "Levels",
                            "Sets which values of a lane become black and white, and what lies"
                                    + " between.",
                            Group.TONE,
                            Control.PLOT,
                            Parameter.percent("in-low", "in from", -100, 200, 0).shown(12, 0),
                            Parameter.percent("in-high", "to", -100, 400, 100).shown(80, 100),
                            Parameter.percent("out-low", "out from", -100, 200, 0).shown(0, 10),
                            Parameter.percent("out-high", "to", -100, 200, 100).shown(100, 90),
                            Parameter.of("gamma", "gamma", "", 0.05, 20, 1, 0.05))
                    .with(Trait.POINTWISE);

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
