package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/**
 * Multiplies a channel by the corresponding channel of a pattern. A pattern of mean m is compensated by 1/m.
 */
public final class ScreenPattern implements StreamedTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "screen-pattern",
                            "Screen pattern",
                            "Multiplies a channel by a repeating pattern, with brightness"
                                    + " compensation.",
                            TreatmentGroup.MASK,
                            Control.RULER,
                            Parameter.amount(0).example(100, 100),
                            Parameter.percent(
                                            "compensation", "brightness compensation", 0, 100, 100)
                                    .setting())
                    .choosing(PatternPlacement.TILE)
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
        Plane pattern = context.picture().get();
        double back = settings.share("compensation");
        double mean = mean(pattern);
        float by = (float) (mean == 0 ? 1 : 1 / (1 - back + back * mean));
        return ChannelRows.repeated(
                channel,
                pattern,
                (in, mask, out, n) -> {
                    for (int i = 0; i < n; i++) {
                        out[i] = in[i] * mask[i] * by;
                    }
                });
    }

    private static double mean(Plane plane) {
        double sum = 0;
        for (int y = 0; y < plane.height(); y++) {
            for (int x = 0; x < plane.width(); x++) {
                sum += plane.at(x, y);
            }
        }
        return sum / ((double) plane.width() * plane.height());
    }
}
