package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Sampler;

/** Values of a plane at any places. For one thread. */
final class Samples {
    private final float[] data;
    private final int width;
    private final int height;
    private final int stride;
    private final int offset;
    private final EdgeFill fill;
    private final Sampler sampler;
    private final float[] table;
    private final int taps;
    private int[] ix = {};
    private int[] iy = {};
    private float[] fx = {};
    private float[] fy = {};

    Samples(Plane in, EdgeFill fill, Sampler sampler) {
        this.data = in.data();
        this.width = in.width();
        this.height = in.height();
        this.stride = in.stride();
        this.offset = in.offset();
        this.fill = fill;
        this.sampler = sampler;
        this.table = sampler.table();
        this.taps = sampler.taps();
    }

    /** The values at {@code n} places, in pixels from the outer edge. */
    void at(double[] x, double[] y, int n, float[] out, int o) {
        if (ix.length < n) {
            ix = new int[n];
            iy = new int[n];
            fx = new float[n];
            fy = new float[n];
        }
        split(x, ix, fx, n);
        split(y, iy, fy, n);
        int before = sampler.firstTap();
        int from = 0;
        int to = n;
        while (from < to && !isInside(from, before)) {
            from++;
        }
        while (to > from && !isInside(to - 1, before)) {
            to--;
        }
        slow(0, from, before, out, o);
        slow(to, n, before, out, o);
        if (!areInside(from, to, before)) {
            slow(from, to, before, out, o);
        } else if (sampler == Sampler.QUICK) {
            linear(data, offset, stride, ix, iy, fx, fy, from, to, out, o);
        } else if (taps == 4) {
            cubic(data, offset, stride, ix, iy, fx, fy, table, sampler, from, to, out, o);
        } else {
            slow(from, to, before, out, o);
        }
    }

    /** Places as whole pixels and what is left, relative to pixel centres. */
    private static void split(double[] place, int[] whole, float[] rest, int n) {
        for (int i = 0; i < n; i++) {
            double p = place[i] - 0.5;
            double f = Math.floor(p);
            whole[i] = (int) f;
            rest[i] = (float) (p - f);
        }
    }

    private boolean isInside(int i, int before) {
        return ix[i] >= -before
                && iy[i] >= -before
                && ix[i] <= width - taps - before
                && iy[i] <= height - taps - before;
    }

    /** Whether all of a run need nothing from outside. */
    private boolean areInside(int from, int to, int before) {
        int right = width - taps - before;
        int bottom = height - taps - before;
        return signs(ix, -before, right, from, to) >= 0
                && signs(iy, -before, bottom, from, to) >= 0;
    }

    /** Negative if any of the values is outside its bounds. */
    private static int signs(int[] values, int low, int high, int from, int to) {
        int signs = 0;
        for (int i = from; i < to; i++) {
            signs |= (values[i] - low) | (high - values[i]);
        }
        return signs;
    }

    private static void linear(
            float[] d,
            int offset,
            int stride,
            int[] ix,
            int[] iy,
            float[] fx,
            float[] fy,
            int from,
            int to,
            float[] out,
            int o) {
        for (int i = from; i < to; i++) {
            int p = offset + iy[i] * stride + ix[i];
            float a = d[p];
            float c = d[p + stride];
            float upper = a + fx[i] * (d[p + 1] - a);
            float lower = c + fx[i] * (d[p + stride + 1] - c);
            out[o + i] = upper + fy[i] * (lower - upper);
        }
    }

    private static void cubic(
            float[] d,
            int offset,
            int stride,
            int[] ix,
            int[] iy,
            float[] fx,
            float[] fy,
            float[] t,
            Sampler sampler,
            int from,
            int to,
            float[] out,
            int o) {
        for (int i = from; i < to; i++) {
            int wx = sampler.entry(fx[i]);
            int wy = sampler.entry(fy[i]);
            float w0 = t[wx];
            float w1 = t[wx + 1];
            float w2 = t[wx + 2];
            float w3 = t[wx + 3];
            int p = offset + (iy[i] - 1) * stride + ix[i] - 1;
            float r0 = w0 * d[p] + w1 * d[p + 1] + w2 * d[p + 2] + w3 * d[p + 3];
            p += stride;
            float r1 = w0 * d[p] + w1 * d[p + 1] + w2 * d[p + 2] + w3 * d[p + 3];
            p += stride;
            float r2 = w0 * d[p] + w1 * d[p + 1] + w2 * d[p + 2] + w3 * d[p + 3];
            p += stride;
            float r3 = w0 * d[p] + w1 * d[p + 1] + w2 * d[p + 2] + w3 * d[p + 3];
            out[o + i] = t[wy] * r0 + t[wy + 1] * r1 + t[wy + 2] * r2 + t[wy + 3] * r3;
        }
    }

    /** Any sampler, with what lies outside. */
    private void slow(int from, int to, int before, float[] out, int o) {
        for (int i = from; i < to; i++) {
            if (sampler == Sampler.QUICK) {
                out[o + i] = linear(i);
            } else {
                int wx = sampler.entry(fx[i]);
                int wy = sampler.entry(fy[i]);
                out[o + i] = sum(ix[i] + before, iy[i] + before, wx, wy);
            }
        }
    }

    private float linear(int i) {
        float a = outside(ix[i], iy[i]);
        float c = outside(ix[i], iy[i] + 1);
        float upper = a + fx[i] * (outside(ix[i] + 1, iy[i]) - a);
        float lower = c + fx[i] * (outside(ix[i] + 1, iy[i] + 1) - c);
        return upper + fy[i] * (lower - upper);
    }

    /** The weighted sum over all taps from a first one on. */
    private float sum(int ix, int iy, int wx, int wy) {
        boolean in = ix >= 0 && iy >= 0 && ix + taps <= width && iy + taps <= height;
        float sum = 0;
        for (int j = 0; j < taps; j++) {
            float row = 0;
            int p = offset + (iy + j) * stride + ix;
            for (int i = 0; i < taps; i++) {
                row += table[wx + i] * (in ? data[p + i] : outside(ix + i, iy + j));
            }
            sum += table[wy + j] * row;
        }
        return sum;
    }

    private float outside(int ix, int iy) {
        int i = fill.inside(ix, width);
        int j = fill.inside(iy, height);
        return i < 0 || j < 0 ? 0 : data[offset + j * stride + i];
    }
}
