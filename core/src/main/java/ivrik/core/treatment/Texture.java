package ivrik.core.treatment;

import ivrik.core.picture.Rows;
import ivrik.core.rejoin.Blend;

/** Blends an imported picture or clip, such as scanned grain, into a channel. */
public final class Texture implements StreamedTreatment {
    /** Blend mode of the texture. */
    public static final Option BLEND =
            new Option(
                    "blend",
                    "blend",
                    "Blend mode of the texture",
                    "overlay",
                    "soft-light",
                    "hard-light",
                    "linear-light",
                    "multiply",
                    "screen",
                    "add",
                    "subtract");

    private static final Description DESCRIPTION =
            Description.of(
                            "texture",
                            "Texture",
                            "Blends a texture, such as scanned grain, into a channel.",
                            TreatmentGroup.GRAIN,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 100, 0).example(70, 30),
                            Parameter.percent("contrast", "contrast", 0, 1000, 100).setting())
                    .choosing(BLEND, PatternPlacement.FIT)
                    .with(Trait.POINTWISE, Trait.PICTURE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Rows channel, Settings settings, Context context) {
        if (context.picture().isEmpty()) {
            return channel;
        }
        Blend blend = Blend.named(settings.choice(BLEND));
        float strength = (float) settings.share("strength");
        float contrast = (float) settings.share("contrast");
        return ChannelRows.repeated(
                channel,
                context.picture().get(),
                (in, picture, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        float s = 0.5f + contrast * (picture[i] - 0.5f);
                        out[i] = in[i] + strength * (blend.channel(in[i], s) - in[i]);
                    }
                });
    }
}
