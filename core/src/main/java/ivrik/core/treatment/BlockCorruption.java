package ivrik.core.treatment;

import ivrik.core.motion.Hash;
import ivrik.core.picture.ColourRows;

/**
 * Damages blocks of a picture: some repeat the colours of their left edge, some have their channels swapped,
 * some have bits of their 8-bit codes flipped. The selection changes every few frames.
 */
public final class BlockCorruption implements PictureTreatment {
    private static final int[][] SWAPS = {{1, 2, 0}, {2, 0, 1}, {0, 2, 1}, {2, 1, 0}, {1, 0, 2}};
    private static final double FAR_PX = 4000;
    private static final Description DESCRIPTION =
            Description.of(
                            "block-corruption",
                            "Block corruption",
                            "Corrupts blocks of the picture: frozen blocks, swapped channels,"
                                    + " flipped bits.",
                            TreatmentGroup.WHOLE,
                            Control.RULER,
                            Parameter.percent("stuck", "frozen blocks", 0, 100, 0).example(4, 4),
                            Parameter.percent("swap", "swapped channels", 0, 100, 0).example(4, 4),
                            Parameter.percent("bits", "flipped bits", 0, 100, 0).example(4, 4),
                            Parameter.of("width", "width", "px", 1, FAR_PX, 64, 1).setting(),
                            Parameter.of("height", "height", "px", 1, FAR_PX, 16, 1).setting(),
                            Randomised.hold(3))
                    .with(Trait.LIVE)
                    .called("glitch", "codec", "corrupt", "digital", "bad signal");

    @Override
    public Description description() {
        return DESCRIPTION;
    }

    @Override
    public ColourRows apply(ColourRows picture, Settings settings, PictureContext context) {
        long key = Randomised.key(settings, true);
        double width = Math.max(1, settings.number("width") * context.scale());
        double height = Math.max(1, settings.number("height") * context.scale());
        double stuck = settings.share("stuck");
        double swap = settings.share("swap");
        double bits = settings.share("bits");
        return WorkingLight.placed(
                picture,
                () ->
                        (y, rgb) -> {
                            long row = (long) Math.floor((y + 0.5) / height);
                            int n = picture.width();
                            int from = 0;
                            for (long column = 0; from < n; column++) {
                                int to = (int) Math.min(n, Math.ceil((column + 1) * width - 0.5));
                                if (drawn(key, row, column, 0) < stuck) {
                                    stick(rgb, from, to);
                                }
                                if (drawn(key, row, column, 1) < swap) {
                                    swap(rgb, from, to, pick(key, row, column, 3, SWAPS.length));
                                }
                                if (drawn(key, row, column, 2) < bits) {
                                    int channel = pick(key, row, column, 4, 3);
                                    int bit = 1 << 4 + pick(key, row, column, 5, 4);
                                    flip(rgb[channel], from, to, bit);
                                }
                                from = Math.max(from, to);
                            }
                        });
    }

    private static double drawn(long key, long row, long column, int what) {
        return (Hash.signed(key, row, column, what) + 1) / 2;
    }

    private static int pick(long key, long row, long column, int what, int of) {
        return (int) (drawn(key, row, column, what) * of);
    }

    private static void stick(float[][] rgb, int from, int to) {
        for (float[] channel : rgb) {
            for (int x = from + 1; x < to; x++) {
                channel[x] = channel[from];
            }
        }
    }

    private static void swap(float[][] rgb, int from, int to, int which) {
        int[] order = SWAPS[which];
        for (int x = from; x < to; x++) {
            float a = rgb[order[0]][x];
            float b = rgb[order[1]][x];
            float c = rgb[order[2]][x];
            rgb[0][x] = a;
            rgb[1][x] = b;
            rgb[2][x] = c;
        }
    }

    private static void flip(float[] channel, int from, int to, int bit) {
        for (int x = from; x < to; x++) {
            int code = Math.clamp(Math.round(channel[x] * 255), 0, 255);
            channel[x] += ((code ^ bit) - code) / 255f;
        }
    }
}
