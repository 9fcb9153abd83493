package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Workers;

/** Frames as 8-bit screen pixels. */
public final class Screen {
    private Screen() {}

    /**
     * Packs a frame, as it shows over black, into opaque ARGB words; samples are clamped to 0..1 and
     * rounded to the nearest of 256 codes.
     *
     * @param pixels at least width x height words, row by row
     */
    public static void pack(Frame frame, int[] pixels, Workers workers) {
        Frame shown = frame.premultiplied(workers);
        Plane r = shown.colour().get(0);
        Plane g = shown.colour().get(1);
        Plane b = shown.colour().get(2);
        int width = shown.width();
        workers.rows(
                shown.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        packRow(
                                r.data(), r.row(y), g.data(), g.row(y), b.data(), b.row(y), pixels,
                                y * width, width);
                    }
                });
    }

    private static void packRow(
            float[] r, int i, float[] g, int j, float[] b, int k, int[] out, int o, int n) {
        for (int x = 0; x < n; x++) {
            int red = (int) (Math.min(1f, Math.max(0f, r[i + x])) * 255f + 0.5f);
            int green = (int) (Math.min(1f, Math.max(0f, g[j + x])) * 255f + 0.5f);
            int blue = (int) (Math.min(1f, Math.max(0f, b[k + x])) * 255f + 0.5f);
            out[o + x] = 0xff000000 | red << 16 | green << 8 | blue;
        }
    }
}
