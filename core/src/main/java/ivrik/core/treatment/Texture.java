package ivrik.core.treatment;

import ivrik.core.picture.Rows;
import ivrik.core.rejoin.Blend;

/** A picture or clip of one's own, such as scanned grain, blended into a lane. */
public final class Texture implements StreamedTreatment {
    /** How it is blended in. */
    public static final Option BLEND =
            new Option(
                    "blend",
                    "blends by",
                    "How the picture is blended into the lane",
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
                            "Picture blended in",
                            "Blends a picture or clip of your own into a lane, such as scanned"
                                    + " grain.",
                            Group.GRAIN,
                            Control.RULER,
                            Parameter.percent("strength", "strength", 0, 100, 0).shown(70, 30),
                            Parameter.percent("contrast", "contrast", 0, 1000, 100).setting())
                    .choosing(BLEND, Pattern.FIT)
                    .with(Trait.POINTWISE, Trait.PICTURE);

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Rows apply(Rows lane, Settings settings, Context context) {
        if (context.picture().isEmpty()) {
            return lane;
        }
        Blend blend = Blend.named(settings.word(BLEND));
        float strength = (float) settings.share("strength");
        float contrast = (float) settings.share("contrast");
        return LaneRows.repeated(
                lane,
                context.picture().get(),
                (in, picture, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        float s = 0.5f + contrast * (picture[i] - 0.5f);
                        out[i] = in[i] + strength * (blend.channel(in[i], s) - in[i]);
                    }
                });
    }
}
