package ivrik.media.pixel;

/** Rows of colour difference at less than full size: up linearly, down by the matching weights. */
final class Chroma {
    private Chroma() {}

    /** Twice as many: each sample on its own pixel, the mean of two between; the last stands alone. */
    static void doubled(float[] in, float[] out) {
        int n = in.length;
        float here = in[0];
        for (int i = 0; i < n - 1; i++) {
            float next = in[i + 1];
            out[2 * i] = here;
            out[2 * i + 1] = here + 0.5f * (next - here);
            here = next;
        }
        out[2 * n - 2] = here;
        out[2 * n - 1] = here;
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
        int x = 1;
        for (; 2 * x < last; x++) {
            out[x] = 0.125f * (sum[2 * x - 1] + 2 * sum[2 * x] + sum[2 * x + 1]);
        }
        for (; x < out.length; x++) {
            out[x] = 0.125f * (sum[2 * x - 1] + 3 * sum[2 * x]);
        }
    }

    /**
     * Where a pixel lies among samples, between the first and the last of them.
     *
     * @param n how many samples there are
     * @param sub log2 of how many pixels share a sample
     * @param left whether samples lie on the first pixel of each group, not between
     */
    static double place(int pixel, int n, int sub, boolean left) {
        double step = 1 << sub;
        return Math.clamp(left ? pixel / step : (pixel + 0.5) / step - 0.5, 0, n - 1);
    }

    /** For each full-size place the two samples around it and the share of the second. */
    record Taps(int[] first, int[] second, float[] share) {
        /** Of all places, see {@link #place}. */
        static Taps of(int full, int n, int sub, boolean left) {
            int[] first = new int[full];
            int[] second = new int[full];
            float[] share = new float[full];
            for (int i = 0; i < full; i++) {
                double at = place(i, n, sub, left);
                first[i] = (int) at;
                second[i] = Math.min(first[i] + 1, n - 1);
                share[i] = (float) (at - first[i]);
            }
            return new Taps(first, second, share);
        }

        /** A row read at all places. */
        void read(float[] in, float[] out) {
            for (int x = 0; x < first.length; x++) {
                float v = in[first[x]];
                out[x] = v + share[x] * (in[second[x]] - v);
            }
        }
    }
}
