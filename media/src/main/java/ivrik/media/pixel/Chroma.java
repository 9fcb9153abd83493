package ivrik.media.pixel;

import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

/** Colour difference at less than full size: up linearly, down by the matching weights. */
final class Chroma {
    private Chroma() {}

    /**
     * Up to full size.
     *
     * @param subX log2 of how many pixels share a sample across
     * @param subY the same down
     * @param left whether samples lie on the left pixel of each group, not between
     */
    static Plane up(
            Plane in, int width, int height, int subX, int subY, boolean left, Workers workers) {
        if (subX == 0 && subY == 0) {
            return in;
        }
        Taps across = Taps.of(width, in.width(), subX, left);
        Taps down = Taps.of(height, in.height(), subY, false);
        Plane out = Plane.of(width, height);
        workers.rows(
                height,
                (from, to) -> {
                    float[] blend = new float[in.width()];
                    for (int y = from; y < to; y++) {
                        int a = in.row(down.first[y]);
                        int b = in.row(down.second[y]);
                        float t = down.share[y];
                        for (int i = 0; i < blend.length; i++) {
                            blend[i] = in.data()[a + i] + t * (in.data()[b + i] - in.data()[a + i]);
                        }
                        int o = out.row(y);
                        if (subX == 1 && left && width % 2 == 0) {
                            doubled(blend, out.data(), o, width / 2);
                            continue;
                        }
                        for (int x = 0; x < width; x++) {
                            float v = blend[across.first[x]];
                            out.data()[o + x] = v + across.share[x] * (blend[across.second[x]] - v);
                        }
                    }
                });
        return out;
    }

    /** Twice as many: each sample on its own pixel, the mean of two between; the last stands alone. */
    private static void doubled(float[] in, float[] out, int o, int n) {
        float here = in[0];
        for (int i = 0; i < n - 1; i++) {
            float next = in[i + 1];
            out[o + 2 * i] = here;
            out[o + 2 * i + 1] = here + 0.5f * (next - here);
            here = next;
        }
        out[o + 2 * n - 2] = here;
        out[o + 2 * n - 1] = here;
    }

    /**
     * The mean of two rows, halved across: 1-2-1 onto the left pixel.
     *
     * @param lower the same row again where none is halved down
     */
    static void halved(float[] upper, float[] lower, float[] sum, float[] out) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] = upper[i] + lower[i];
        }
        int last = sum.length - 1;
        out[0] = 0.125f * (3 * sum[0] + sum[Math.min(1, last)]);
        for (int x = 1; x < out.length; x++) {
            float after = sum[Math.min(2 * x + 1, last)];
            out[x] = 0.125f * (sum[2 * x - 1] + 2 * sum[2 * x] + after);
        }
    }

    /** For each full-size place the two samples around it and the share of the second. */
    private record Taps(int[] first, int[] second, float[] share) {
        static Taps of(int full, int n, int sub, boolean left) {
            int[] first = new int[full];
            int[] second = new int[full];
            float[] share = new float[full];
            double step = 1 << sub;
            for (int i = 0; i < full; i++) {
                double at = Math.clamp(left ? i / step : (i + 0.5) / step - 0.5, 0, n - 1);
                first[i] = (int) at;
                second[i] = Math.min(first[i] + 1, n - 1);
                share[i] = (float) (at - first[i]);
            }
            return new Taps(first, second, share);
        }
    }
}
