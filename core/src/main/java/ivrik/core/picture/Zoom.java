package ivrik.core.picture;

/**
 * A picture enlarged about its middle within its own size, by the cubic of {@link Sampler#GOOD}; what
 * would be taken from outside repeats the border.
 */
public final class Zoom {
    private static final Sampler SAMPLER = Sampler.GOOD;
    private static final int TAPS = 4;

    private Zoom() {}

    /**
     * @param times at least 1; at 1 the plane itself
     */
    public static Plane of(Plane in, double times, Workers workers) {
        if (times == 1) {
            return in;
        }
        int w = in.width();
        Taps across = new Taps(w, times);
        Taps down = new Taps(in.height(), times);
        Plane out = Plane.of(w, in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    float[][] rows = new float[TAPS][w];
                    float[] blended = new float[w];
                    float[] row = new float[w];
                    for (int y = from; y < to; y++) {
                        for (int k = 0; k < TAPS; k++) {
                            int source = in.row(down.index[k][y]);
                            System.arraycopy(in.data(), source, rows[k], 0, w);
                        }
                        Lines.four(
                                rows[0],
                                rows[1],
                                rows[2],
                                rows[3],
                                down.weight[0][y],
                                down.weight[1][y],
                                down.weight[2][y],
                                down.weight[3][y],
                                blended);
                        along(blended, across.index, across.weight, row);
                        System.arraycopy(row, 0, out.data(), out.row(y), w);
                    }
                });
        return out;
    }

    private static void along(float[] in, int[][] index, float[][] weight, float[] out) {
        int[] i0 = index[0];
        int[] i1 = index[1];
        int[] i2 = index[2];
        int[] i3 = index[3];
        float[] w0 = weight[0];
        float[] w1 = weight[1];
        float[] w2 = weight[2];
        float[] w3 = weight[3];
        for (int x = 0; x < out.length; x++) {
            out[x] = w0[x] * in[i0[x]] + w1[x] * in[i1[x]] + w2[x] * in[i2[x]] + w3[x] * in[i3[x]];
        }
    }

    /**
     * The least enlargement at which nothing within {@code margin} pixels of one end of a row of {@code
     * size} is touched; 1 if there is no margin, infinite if no enlargement is enough.
     */
    public static double hiding(double margin, int size) {
        if (margin <= 0) {
            return 1;
        }
        double first = margin - SAMPLER.firstTap(); // the first sample that may be looked at
        double middle = (size - 1) / 2.0;
        return first >= middle ? Double.POSITIVE_INFINITY : middle / (middle - first);
    }

    /** Where each sample of a row comes from, and by how much; the first index is the tap. */
    private static final class Taps {
        private final int[][] index;
        private final float[][] weight;

        Taps(int size, double times) {
            index = new int[TAPS][size];
            weight = new float[TAPS][size];
            double middle = (size - 1) / 2.0;
            for (int i = 0; i < size; i++) {
                double at = middle + (i - middle) / times;
                double whole = Math.floor(at);
                float[] weights = SAMPLER.weights(at - whole);
                for (int k = 0; k < TAPS; k++) {
                    index[k][i] = Math.clamp((int) whole + SAMPLER.firstTap() + k, 0, size - 1);
                    weight[k][i] = weights[k];
                }
            }
        }
    }
}
