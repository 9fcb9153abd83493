package ivrik.core.treatment;

import ivrik.core.picture.Size;

import java.util.function.Supplier;

/**
 * A broad bar that is darker, or brighter, and travels down the picture and round again, as when a screen
 * is filmed at another rate than its own. A raised cosine to the fourth power down the picture, of mean 3/8.
 */
public final class RollingBar implements RowTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "rolling-bar",
                            "Rolling bar",
                            "Sends a dark or bright bar down the picture, as when a screen is"
                                    + " filmed.",
                            Group.TONE,
                            Control.RULER,
                            Parameter.percent("strength", "strength", -100, 100, 0).shown(-30, -30),
                            Parameter.of("speed", "heights a second", "", -50, 50, 0.4, 0.1)
                                    .setting(),
                            Parameter.of("rate", "frames a second", "", 1, 240, 24, 1).setting(),
                            Parameter.percent("at", "begins at", -1000, 1000, 0).setting())
                    .with(Trait.POINTWISE, Trait.PLACED, Trait.LIVE)
                    .called("hum bar", "refresh", "flicker", "screen");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        double seconds = settings.moment().frame() / settings.number("rate");
        double top = settings.share("at") + settings.number("speed") * seconds;
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
