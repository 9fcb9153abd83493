package ivrik.media.pixel;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.VectorShuffle;
import jdk.incubator.vector.VectorSpecies;

/** Resamples rows of subsampled chroma: linear interpolation up, and the matching weights down. */
final class Chroma {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    /** Shuffles that select every second sample of two consecutive vectors. */
    private static final VectorShuffle<Float> FIRST_OF_TWO = VectorShuffle.makeUnzip(FLOATS, 0);

    private static final VectorShuffle<Float> SECOND_OF_TWO = VectorShuffle.makeUnzip(FLOATS, 1);

    private Chroma() {}

    /**
     * Doubles a row: each sample on its own pixel, the mean of two between, the last repeated. Not
     * vectorised, because the first pictures that a window shows use this code.
     */
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
     * The mean of two rows, halved horizontally with weights 1-2-1 centred on the left pixel.
     *
     * @param lower the same row again if rows are not halved
     */
    static void halved(float[] upper, float[] lower, float[] sum, float[] out) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] = upper[i] + lower[i];
        }
        int last = sum.length - 1;
        out[0] = 0.125f * (3 * sum[0] + sum[Math.min(1, last)]);
        int x = 1;
        for (; 2 * (x + FLOATS.length()) <= last; x += FLOATS.length()) {
            FloatVector a = at(sum, 2 * x - 1);
            FloatVector b = at(sum, 2 * x - 1 + FLOATS.length());
            FloatVector before = a.rearrange(FIRST_OF_TWO, b);
            FloatVector here = a.rearrange(SECOND_OF_TWO, b);
            FloatVector after =
                    at(sum, 2 * x + 1)
                            .rearrange(FIRST_OF_TWO, at(sum, 2 * x + 1 + FLOATS.length()));
            before.add(here.mul(2)).add(after).mul(0.125f).intoArray(out, x);
        }
        for (; 2 * x < last; x++) {
            out[x] = 0.125f * (sum[2 * x - 1] + 2 * sum[2 * x] + sum[2 * x + 1]);
        }
        for (; x < out.length; x++) {
            out[x] = 0.125f * (sum[2 * x - 1] + 3 * sum[2 * x]);
        }
    }

    private static FloatVector at(float[] row, int i) {
        return FloatVector.fromArray(FLOATS, row, i);
    }

    /**
     * Position of a pixel in samples, clamped to the first and last.
     *
     * @param n number of samples
     * @param sub log2 of the pixels per sample
     * @param left whether samples are co-sited with the first pixel of each group instead of centred
     */
    static double place(int pixel, int n, int sub, boolean left) {
        double step = 1 << sub;
        return Math.clamp(left ? pixel / step : (pixel + 0.5) / step - 0.5, 0, n - 1);
    }

    /** For each pixel the two nearest samples and the weight of the second. */
    record Taps(int[] first, int[] second, float[] share) {
        /** Taps for all pixels, see {@link #place}. */
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

        /** Interpolates a row at all pixels. */
        void read(float[] in, float[] out) {
            for (int x = 0; x < first.length; x++) {
                float v = in[first[x]];
                out[x] = v + share[x] * (in[second[x]] - v);
            }
        }
    }
}
