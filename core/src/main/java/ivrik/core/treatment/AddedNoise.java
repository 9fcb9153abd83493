package ivrik.core.treatment;

import ivrik.core.filter.Noise;
import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;
import ivrik.core.picture.Rows;

/** Electronic noise of single pixels, independent of tone. */
public final class AddedNoise implements StreamedTreatment {
    /** Distribution of the noise. */
    public static final Option SPREAD =
            new Option(
                    "distribution",
                    "distribution",
                    "Distribution of the noise values",
                    "gaussian",
                    "uniform");

    private static final Description DESCRIPTION =
            Description.of(
                            "noise",
                            "Noise",
                            "Adds noise per pixel, monochrome or independent per channel.",
                            TreatmentGroup.GRAIN,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 200, 0).example(20, 5),
                            Parameter.percent("monochrome", "monochrome", 0, 100, 0).setting(),
                            Randomised.hold(1))
                    .choosing(SPREAD)
                    .with(Trait.POINTWISE, Trait.LIVE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Rows channel, Settings settings, Context context) {
        Spread spread =
                settings.choice(SPREAD).equals("uniform") ? Spread.UNIFORM : Spread.GAUSSIAN;
        Origin origin = Randomised.origin(settings, settings.share("monochrome"), spread);
        Noise noise = new Noise(channel.size(), 1, context.scale(), origin);
        float strength = (float) settings.share("strength") * context.channel().span();
        return ChannelRows.of(
                channel,
                noise,
                (in, added, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = in[i] + strength * added[i];
                    }
                });
    }
}
