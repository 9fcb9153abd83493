package ivrik.core.treatment;

import ivrik.core.picture.Size;
import ivrik.core.separation.Paint;

import java.util.function.Supplier;

/**
 * Ordered dither to a few levels with the 8x8 pattern of Bayer (1973): the threshold at the pixel is added
 * before rounding down. The mean over a pattern equals the value to 1/64 of a level.
 */
public final class Dither implements RowTreatment {
    private static final int SIDE = 8;

    private static final Description DESCRIPTION =
            Description.of(
                            "dither",
                            "Dither",
                            "Reduces a channel to a few levels with an ordered dither pattern.",
                            TreatmentGroup.TONE,
                            Control.RULER,
                            Parameter.amount(0).example(100, 100),
                            Parameter.of("levels", "levels", "", 2, 64, 2, 1).setting(),
                            Parameter.of("dot-size", "dot size", "px", 1, 64, 1, 1)
                                    .setting()
                                    .example(3, 3))
                    .with(Trait.POINTWISE, Trait.PLACED)
                    .called("dots", "few colours", "pattern", "console");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public Supplier<Work> work(Size size, Settings settings, Context context) {
        double dot = settings.number("dot-size") * context.scale();
        float steps = (float) Math.rint(settings.number("levels")) - 1;
        float span = context.channel().span();
        float low = context.channel().paint() == Paint.SIGNED ? -span : 0;
        float range = span - low;
        int width = size.width();
        return () ->
                (y, row) -> {
                    if (dot < 1) {
                        return; // a pattern finer than a pixel shows the value itself
                    }
                    int down = (int) (y / dot) % SIDE;
                    for (int x = 0; x < width; x++) {
                        float at = (row[x] - low) / range * steps;
                        float more = threshold((int) (x / dot) % SIDE, down);
                        row[x] = low + range * (float) Math.floor(at + more) / steps;
                    }
                };
    }

    /**
     * Threshold of a pattern cell, between 0 and 1: the interleaved bits of its position in reverse order.
     */
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
