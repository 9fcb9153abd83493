package ivrik.core.treatment;

import ivrik.core.filter.Noise;
import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;
import ivrik.core.picture.Rows;

/** Noise of single pixels, as electronics add it: alike in all tones. */
public final class AddedNoise implements StreamedTreatment {
    /** How the values are spread. */
    public static final Option SPREAD =
            new Option("spread", "spread", "How the noise is spread", "gaussian", "uniform");

    private static final Description DESCRIPTION =
            Description.of(
                            "noise",
                            "Noise",
                            "Adds noise of single pixels, of one tone or to each lane its own.",
                            Group.GRAIN,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 200, 0).shown(20, 5),
                            Parameter.percent("alike", "one tone", 0, 100, 0).setting(),
                            Live.hold(1))
                    .choosing(SPREAD)
                    .with(Trait.POINTWISE, Trait.LIVE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Rows lane, Settings settings, Context context) {
        Spread spread = settings.word(SPREAD).equals("uniform") ? Spread.UNIFORM : Spread.GAUSSIAN;
        Origin origin = Live.origin(settings, spread);
        Noise noise = new Noise(lane.size(), 1, context.scale(), origin);
        float strength = (float) settings.share("strength") * context.lane().span();
        return LaneRows.of(
                lane,
                noise,
                (in, added, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = in[i] + strength * added[i];
                    }
                });
    }
}
