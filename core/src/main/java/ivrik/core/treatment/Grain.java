package ivrik.core.treatment;

import ivrik.core.filter.Noise;
import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;
import ivrik.core.picture.Rows;

/**
 * Film grain: Gaussian noise of a given size, strongest in the midtones and zero at pure black and white,
 * shared by all channels to an adjustable degree.
 */
public final class Grain implements StreamedTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "grain",
                            "Grain",
                            "Adds film grain, strongest in the midtones.",
                            TreatmentGroup.GRAIN,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 200, 0).example(14, 6),
                            Parameter.of("size", "size", "px", 0.5, 400, 1.5, 0.1).setting(),
                            Parameter.percent("response", "film response", 0, 100, 100).setting(),
                            Parameter.percent(
                                            "correlation",
                                            "correlation between channels",
                                            0,
                                            100,
                                            0)
                                    .setting(),
                            Randomised.hold(1))
                    .with(Trait.POINTWISE, Trait.LIVE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Rows channel, Settings settings, Context context) {
        Origin origin = Randomised.origin(settings, settings.share("correlation"), Spread.GAUSSIAN);
        Noise noise = new Noise(channel.size(), settings.number("size"), context.scale(), origin);
        float strength = (float) settings.share("strength") * context.channel().span();
        float response = (float) settings.share("response");
        float span = context.channel().span();
        return ChannelRows.of(
                channel,
                noise,
                (in, grain, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        float v = in[i] / span;
                        float middle = Math.max(0f, 4 * v * (1 - v));
                        float by = 1 - response + response * middle;
                        out[i] = in[i] + strength * by * grain[i];
                    }
                });
    }
}
