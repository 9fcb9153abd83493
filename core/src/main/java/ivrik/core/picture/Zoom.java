package ivrik.core.picture;

/**
 * A picture enlarged about its middle within its own size, by the cubic of {@link Sampler#GOOD}; what
 * would be taken from outside repeats the border.
 */
public final class Zoom {
    private static final Sampler SAMPLER = Sampler.GOOD;

    private Zoom() {}

    /**
     * @param times at least 1; at 1 the plane itself
     */
    public static Plane of(Plane in, double times, Workers workers) {
        return times == 1 ? in : down(across(in, times, workers), times, workers);
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

    private static Plane across(Plane in, double times, Workers workers) {
        Taps taps = new Taps(in.width(), times);
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        for (int x = 0; x < in.width(); x++) {
                            float sum = 0;
                            for (int k = 0; k < SAMPLER.taps(); k++) {
                                sum += taps.weights[x][k] * in.data()[in.row(y) + taps.at(x, k)];
                            }
                            out.data()[out.row(y) + x] = sum;
                        }
                    }
                });
        return out;
    }

    private static Plane down(Plane in, double times, Workers workers) {
        Taps taps = new Taps(in.height(), times);
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        int o = out.row(y);
                        for (int k = 0; k < SAMPLER.taps(); k++) {
                            add(
                                    in.data(),
                                    in.row(taps.at(y, k)),
                                    taps.weights[y][k],
                                    out.data(),
                                    o,
                                    in.width());
                        }
                    }
                });
        return out;
    }

    private static void add(float[] in, int i, float weight, float[] out, int o, int n) {
        for (int x = 0; x < n; x++) {
            out[o + x] += weight * in[i + x];
        }
    }

    /** Where each sample of a row comes from. */
    private static final class Taps {
        private final int size;
        private final int[] first;
        private final float[][] weights;

        Taps(int size, double times) {
            this.size = size;
            first = new int[size];
            weights = new float[size][];
            double middle = (size - 1) / 2.0;
            for (int i = 0; i < size; i++) {
                double at = middle + (i - middle) / times;
                double whole = Math.floor(at);
                first[i] = (int) whole + SAMPLER.firstTap();
                weights[i] = SAMPLER.weights(at - whole);
            }
        }

        int at(int i, int tap) {
            return Math.clamp(first[i] + tap, 0, size - 1);
        }
    }
}
