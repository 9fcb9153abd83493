package ivrik.core.treatment;

import ivrik.core.picture.Size;

import java.util.function.Supplier;

/**
 * A broad dark or bright bar that rolls down the picture, as on a filmed screen with another refresh rate.
 * Profile: a raised cosine to the fourth power, of mean 3/8.
 */
public final class RollingBar implements RowTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "rolling-bar",
                            "Rolling bar",
                            "Moves a dark or bright bar through the picture, as on a filmed CRT.",
                            TreatmentGroup.TONE,
                            Control.RULER,
                            Parameter.percent("strength", "strength", -100, 100, 0)
                                    .example(-30, -30),
                            Parameter.of(
                                            "speed",
                                            "speed, picture heights per second",
                                            "",
                                            -50,
                                            50,
                                            0.4,
                                            0.1)
                                    .setting(),
                            Parameter.of("rate", "frame rate, fps", "", 1, 240, 24, 1).setting(),
                            Parameter.percent("start", "start position", -1000, 1000, 0).setting())
                    .with(Trait.POINTWISE, Trait.PLACED, Trait.LIVE)
                    .called("hum bar", "refresh", "flicker", "screen");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        double seconds = settings.moment().frame() / settings.number("rate");
        double top = settings.share("start") + settings.number("speed") * seconds;
        double strength = settings.share("strength");
        int n = size.width();
        return () ->
                (y, row) -> {
                    double at = (y + 0.5) / size.height() - top;
                    double wave = 0.5 + 0.5 * StrictMath.cos(2 * Math.PI * at);
                    float by = (float) (1 + strength * wave * wave);
                    for (int x = 0; x < n; x++) {
                        row[x] *= by;
                    }
                };
    }
}
