package ivrik.core.treatment;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Sampler;
import ivrik.core.picture.Workers;

/**
 * The kernel of {@link Shift}: a plane sampled at a constant distance, rows first blended with each
 * other and the blend then with its neighbours, in loops that vectorise. Where a shift is whole in
 * one direction the kernel of that direction is the single weight 1, and nothing is rounded.
 */
final class Translation {
    private final Plane in;
    private final EdgeFill fill;
    private final Axis across;
    private final Axis down;

    private Translation(Plane in, EdgeFill fill, Axis across, Axis down) {
        this.in = in;
        this.fill = fill;
        this.across = across;
        this.down = down;
    }

    /** {@code in} moved right by {@code dx} and down by {@code dy} of its own pixels. */
    static Plane of(Plane in, double dx, double dy, Settings settings, Workers workers) {
        Translation move =
                new Translation(
                        in,
                        settings.edgeFill(),
                        Axis.of(dx, settings.sampler()),
                        Axis.of(dy, settings.sampler()));
        Plane out = Plane.of(in.width(), in.height());
        workers.rows(
                in.height(),
                (from, to) -> {
                    float[] blend = new float[in.width() + move.across.weights.length - 1];
                    for (int y = from; y < to; y++) {
                        move.blendRows(y, blend);
                        blendAlong(blend, move.across.weights, out.data(), out.row(y), in.width());
                    }
                });
        return out;
    }

    /** One direction: the first sample relative to the target, and the weights from there on. */
    private record Axis(int first, float[] weights) {
        static Axis of(double distance, Sampler sampler) {
            double source = -distance;
            double whole = Math.floor(source);
            double fraction = source - whole;
            return fraction == 0
                    ? new Axis((int) whole, new float[] {1})
                    : new Axis((int) whole + sampler.firstTap(), sampler.weights(fraction));
        }
    }

    /** The weighted sum of the rows that make row {@code y}, with what lies outside on both sides. */
    private void blendRows(int y, float[] blend) {
        int n = in.width();
        int from = across.first;
        int first = Math.clamp(-(long) from, 0, blend.length);
        int last = Math.clamp((long) n - from, first, blend.length);
        float[] w = down.weights;
        int[] rows = new int[w.length];
        for (int j = 0; j < w.length; j++) {
            int inside = fill.inside(y + down.first + j, in.height());
            rows[j] = inside < 0 ? -1 : in.row(inside);
        }
        if (w.length == 2 && rows[0] >= 0 && rows[1] >= 0) {
            two(in.data(), rows[0] + from, rows[1] + from, w[0], w[1], blend, first, last);
        } else {
            java.util.Arrays.fill(blend, first, last, 0f);
            for (int j = 0; j < w.length; j++) {
                if (rows[j] >= 0) {
                    one(in.data(), rows[j] + from, w[j], blend, first, last);
                }
            }
        }
        for (int k = 0; k < first; k++) {
            blend[k] = outside(rows, w, fill.inside(from + k, n));
        }
        for (int k = last; k < blend.length; k++) {
            blend[k] = outside(rows, w, fill.inside(from + k, n));
        }
    }

    private float outside(int[] rows, float[] weights, int x) {
        float sum = 0;
        for (int j = 0; j < rows.length; j++) {
            if (x >= 0 && rows[j] >= 0) {
                sum += weights[j] * in.data()[rows[j] + x];
            }
        }
        return sum;
    }

    private static void one(float[] in, int row, float weight, float[] out, int first, int last) {
        for (int k = first; k < last; k++) {
            out[k] += weight * in[row + k];
        }
    }

    private static void two(
            float[] in, int a, int b, float wa, float wb, float[] out, int first, int last) {
        for (int k = first; k < last; k++) {
            out[k] = wa * in[a + k] + wb * in[b + k];
        }
    }

    private static void blendAlong(float[] in, float[] w, float[] out, int o, int n) {
        switch (w.length) {
            case 1 -> System.arraycopy(in, 0, out, o, n);
            case 2 -> {
                float a = w[0];
                float b = w[1];
                for (int x = 0; x < n; x++) {
                    out[o + x] = a * in[x] + b * in[x + 1];
                }
            }
            case 4 -> {
                float a = w[0];
                float b = w[1];
                float c = w[2];
                float d = w[3];
                for (int x = 0; x < n; x++) {
                    out[o + x] = a * in[x] + b * in[x + 1] + c * in[x + 2] + d * in[x + 3];
                }
            }
            default -> {
                java.util.Arrays.fill(out, o, o + n, 0f);
                for (int i = 0; i < w.length; i++) {
                    float weight = w[i];
                    for (int x = 0; x < n; x++) {
                        out[o + x] += weight * in[x + i];
                    }
                }
            }
        }
    }
}
