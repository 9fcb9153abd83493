package ivrik.core.treatment;

import ivrik.core.filter.Noise;
import ivrik.core.filter.Noise.Origin;
import ivrik.core.filter.Noise.Spread;
import ivrik.core.picture.Rows;

/**
 * Grain as film has it: Gaussian noise of a size, strongest in the middle tones, fading to pure black
 * and white; one for all lanes, each its own, or anything between.
 */
public final class Grain implements StreamedTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "grain",
                            "Grain",
                            "Adds grain as film has it, of any size, strongest in the middle"
                                    + " tones.",
                            Group.GRAIN,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 200, 0).shown(14, 6),
                            Parameter.of("size", "size", "px", 0.5, 400, 1.5, 0.1).setting(),
                            Parameter.percent("response", "film response", 0, 100, 100).setting(),
                            Parameter.percent("alike", "same in all lanes", 0, 100, 0).setting(),
                            Live.hold(1))
                    .with(Trait.POINTWISE, Trait.LIVE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Rows lane, Settings settings, Context context) {
        Origin origin = Live.origin(settings, Spread.GAUSSIAN);
        Noise noise = new Noise(lane.size(), settings.number("size"), context.scale(), origin);
        float strength = (float) settings.share("strength") * context.lane().span();
        float response = (float) settings.share("response");
        float span = context.lane().span();
        return LaneRows.of(
                lane,
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
