package ivrik.core.treatment;

/** Turns a lane's values over: lights become darks. */
public final class Invert implements Tone {
    private static final Description DESCRIPTION =
            Description.of(
                            "invert",
                            "Invert",
                            "Turns a lane into its negative.",
                            Group.TONE,
                            Control.PLOT,
                            Parameter.amount(0).shown(100, 0))
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
