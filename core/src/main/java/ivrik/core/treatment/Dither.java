package ivrik.core.treatment;

import ivrik.core.picture.Size;
import ivrik.core.separation.Paint;

import java.util.function.Supplier;

/**
 * A few levels, between which a pattern of dots mixes the rest: each value is raised by the threshold at its place and
 * cut off to a level below (ordered dither; the pattern of Bayer 1973, of 8 by 8 dots). Over a pattern the mean is the
 * value, to the 64th part of a level.
 */
public final class Dither implements RowTreatment {
    private static final int SIDE = 8;

    private static final Description DESCRIPTION =
            Description.of(
                            "dither",
                            "Dither",
                            "Leaves a few levels and mixes what lies between them out of dots.",
                            Group.TONE,
                            Control.RULER,
                            Parameter.amount(0).shown(100, 100),
                            Parameter.of("levels", "levels", "", 2, 64, 2, 1).setting(),
                            Parameter.of("size", "dots", "px", 1, 64, 1, 1).setting().shown(3, 3))
                    .with(Trait.POINTWISE, Trait.PLACED)
                    .called("dots", "few colours", "pattern", "console");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        double dot = settings.number("size") * context.scale();
        float steps = (float) Math.rint(settings.number("levels")) - 1;
        float span = context.lane().span();
        float low = context.lane().paint() == Paint.SIGNED ? -span : 0;
        float range = span - low;
        int width = size.width();
        return () ->
                (y, row) -> {
                    if (dot < 1) {
                        return; // finer than a pixel it is the value itself
                    }
                    int down = (int) (y / dot) % SIDE;
                    for (int x = 0; x < width; x++) {
                        float at = (row[x] - low) / range * steps;
                        float more = threshold((int) (x / dot) % SIDE, down);
                        row[x] = low + range * (float) Math.floor(at + more) / steps;
                    }
                };
    }

    /** Of a dot of the pattern, over 0 and under 1: its bits are those of its place, from the last to the first. */
    static float threshold(int across, int down) {
        int order = 0;
        for (int bit = 0; bit < 3; bit++) {
            int x = across >> bit & 1;
            int y = down >> bit & 1;
            order = order << 2 | (x ^ y) << 1 | y;
        }
        return (order + 0.5f) / (SIDE * SIDE);
    }
}
