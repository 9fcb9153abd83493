package ivrik.core.treatment;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;

/**
 * A lane multiplied by the matching channel of a pattern, such as a screen's. A pattern of mean m costs
 * 1/m of the brightness, which is paid back by the mean that the pattern really has.
 */
public final class Mask implements StreamedTreatment {
    private static final Description DESCRIPTION =
            Description.of(
                            "mask",
                            "Mask",
                            "Multiplies a lane by a pattern, and pays back the brightness that"
                                    + " it takes.",
                            Group.MASK,
                            Control.RULER,
                            Parameter.amount(0).shown(100, 100),
                            Parameter.percent("pay-back", "pays back", 0, 100, 100).setting())
                    .choosing(Pattern.TILE)
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
        Plane pattern = context.picture().get();
        double back = settings.share("pay-back");
        double mean = mean(pattern);
        float by = (float) (mean == 0 ? 1 : 1 / (1 - back + back * mean));
        return LaneRows.repeated(
                lane,
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
