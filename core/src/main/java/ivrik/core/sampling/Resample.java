package ivrik.core.sampling;

import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.Arrays;

/**
 * Scales pictures to another size. Reduction weights source pixels by the exact area that each new pixel
 * covers, so that a small preview is the small version of the full render. Enlargement is bilinear between
 * pixel centres, with the border repeated.
 */
public final class Resample {
    private Resample() {}

    /** Returns the plane itself if the size is the same. */
    public static Plane to(Plane in, Size size, Workers workers) {
        boolean fewerRowsFirst = size.height() < in.height();
        Plane first = fewerRowsFirst ? down(in, size.height(), workers) : in;
        Plane across = size.width() == in.width() ? first : across(first, size.width(), workers);
        return fewerRowsFirst ? across : down(across, size.height(), workers);
    }

    /** Frames with straight alpha are premultiplied first. */
    public static Frame to(Frame in, Size size, Workers workers) {
        if (in.size().equals(size)) {
            return in;
        }
        return in.premultiplied(workers).mapPlanes(plane -> to(plane, size, workers));
    }

    /**
     * The rows of an opaque picture at another size. Reduction consumes the rows as they are computed.
     */
    public static Frame to(ColourRows in, Size size, Workers workers) {
        boolean isSmaller = size.height() < in.height() && size.width() < in.width();
        return isSmaller ? smaller(in, size, workers) : to(Frame.of(in, workers), size, workers);
    }

    private static Frame smaller(ColourRows in, Size size, Workers workers) {
        int width = in.width();
        Weights across = Weights.of(width, size.width());
        Weights down = Weights.of(in.height(), size.height());
        Plane red = Plane.of(size.width(), size.height());
        Plane green = Plane.of(size.width(), size.height());
        Plane blue = Plane.of(size.width(), size.height());
        Plane[] out = {red, green, blue};
        workers.rows(
                size.height(),
                (from, to) -> {
                    ColourRows.Reader reader = in.reader();
                    float[][] row = new float[3][width];
                    float[][] sum = new float[3][width];
                    for (int y = from; y < to; y++) {
                        Cancellation.poll();
                        for (float[] channel : sum) {
                            Arrays.fill(channel, 0);
                        }
                        for (int k = 0; k < down.taps; k++) {
                            float w = down.weight[y * down.taps + k];
                            if (w != 0) {
                                reader.row(down.first[y] + k, row);
                                for (int c = 0; c < 3; c++) {
                                    addRow(sum[c], 0, row[c], 0, w, width);
                                }
                            }
                        }
                        for (int c = 0; c < 3; c++) {
                            across(sum[c], 0, out[c].data(), out[c].row(y), across);
                        }
                    }
                });
        return Frame.opaque(red, green, blue);
    }

    private static Plane across(Plane in, int width, Workers workers) {
        Weights weights = Weights.of(in.width(), width);
        Plane out = Plane.of(width, in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        across(in.data(), in.row(y), out.data(), out.row(y), weights);
                    }
                });
        return out;
    }

    private static void across(float[] in, int i, float[] out, int o, Weights weights) {
        if (weights.taps == 2) {
            pairs(in, i, out, o, weights);
        } else {
            row(in, i, out, o, weights);
        }
    }

    private static void row(float[] in, int i, float[] out, int o, Weights weights) {
        int[] first = weights.first;
        float[] weight = weights.weight;
        int taps = weights.taps;
        for (int x = 0; x < first.length; x++) {
            float sum = 0;
            for (int k = 0; k < taps; k++) {
                sum += weight[x * taps + k] * in[i + first[x] + k];
            }
            out[o + x] = sum;
        }
    }

    /** Computes new samples from two source samples each: at half size, and for enlargement. */
    private static void pairs(float[] in, int i, float[] out, int o, Weights weights) {
        int[] first = weights.first;
        float[] weight = weights.weight;
        for (int x = 0; x < first.length; x++) {
            int at = i + first[x];
            out[o + x] = weight[2 * x] * in[at] + weight[2 * x + 1] * in[at + 1];
        }
    }

    private static Plane down(Plane in, int height, Workers workers) {
        if (height == in.height()) {
            return in;
        }
        Weights weights = Weights.of(in.height(), height);
        Plane out = Plane.of(in.width(), height);
        workers.rows(
                height,
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        int o = out.row(y);
                        for (int k = 0; k < weights.taps; k++) {
                            float w = weights.weight[y * weights.taps + k];
                            if (w != 0) {
                                addRow(
                                        out.data(),
                                        o,
                                        in.data(),
                                        in.row(weights.first[y] + k),
                                        w,
                                        in.width());
                            }
                        }
                    }
                });
        return out;
    }

    private static void addRow(float[] out, int o, float[] in, int i, float weight, int n) {
        for (int x = 0; x < n; x++) {
            out[o + x] += weight * in[i + x];
        }
    }

    /** For each of {@code to} new samples: the first source sample and {@code taps} weights. */
    private record Weights(int taps, int[] first, float[] weight) {
        static Weights of(int from, int to) {
            double step = (double) from / to;
            int taps = Math.min(from, taps(step));
            int[] first = new int[to];
            float[] weight = new float[to * taps];
            for (int i = 0; i < to; i++) {
                double left = i * step;
                first[i] =
                        Math.clamp(
                                (int) Math.floor(step > 1 ? left : left + step / 2 - 0.5),
                                0,
                                from - taps);
                double sum = 0;
                double[] w = new double[taps];
                for (int k = 0; k < taps; k++) {
                    double at = first[i] + k;
                    w[k] =
                            step > 1
                                    ? Math.max(
                                            0, Math.min(at + 1, left + step) - Math.max(at, left))
                                    : Math.max(
                                            0,
                                            1
                                                    - Math.abs(
                                                            Math.clamp(
                                                                            left + step / 2 - 0.5,
                                                                            0,
                                                                            from - 1)
                                                                    - at));
                    sum += w[k];
                }
                for (int k = 0; k < taps; k++) {
                    weight[i * taps + k] = (float) (w[k] / sum);
                }
            }
            return new Weights(taps, first, weight);
        }

        /**
         * Number of source samples per new sample; for an integer step exactly those that it covers.
         */
        private static int taps(double step) {
            if (step <= 1) {
                return 2;
            }
            return step == Math.rint(step) ? (int) step : (int) Math.ceil(step) + 1;
        }
    }
}
