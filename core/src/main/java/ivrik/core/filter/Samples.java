package ivrik.core.filter;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Sampler;

/** Values of a plane at any places. For one thread. */
final class Samples {
    private static final double FAR = 1e8;

    private final float[] data;
    private final int width;
    private final int height;
    private final int stride;
    private final int offset;
    private final EdgeFill fill;
    private final Sampler sampler;
    private final float[] table;
    private final int taps;

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
        if (sampler == Sampler.QUICK) {
            linear(x, y, n, out, o);
        } else if (taps == 4) {
            cubic(x, y, n, out, o);
        } else {
            wide(x, y, n, out, o);
        }
    }

    private void linear(double[] x, double[] y, int n, float[] out, int o) {
        int lastX = width - 2;
        int lastY = height - 2;
        for (int i = 0; i < n; i++) {
            double px = near(x[i]);
            double py = near(y[i]);
            int ix = floor(px);
            int iy = floor(py);
            float fx = (float) (px - ix);
            float fy = (float) (py - iy);
            float a;
            float b;
            float c;
            float d;
            if (ix >= 0 && iy >= 0 && ix <= lastX && iy <= lastY) {
                int p = offset + iy * stride + ix;
                a = data[p];
                b = data[p + 1];
                c = data[p + stride];
                d = data[p + stride + 1];
            } else {
                a = outside(ix, iy);
                b = outside(ix + 1, iy);
                c = outside(ix, iy + 1);
                d = outside(ix + 1, iy + 1);
            }
            float upper = a + fx * (b - a);
            float lower = c + fx * (d - c);
            out[o + i] = upper + fy * (lower - upper);
        }
    }

    private void cubic(double[] x, double[] y, int n, float[] out, int o) {
        int lastX = width - 4;
        int lastY = height - 4;
        float[] t = table;
        for (int i = 0; i < n; i++) {
            double px = near(x[i]);
            double py = near(y[i]);
            int ix = floor(px);
            int iy = floor(py);
            int wx = sampler.entry(px - ix);
            int wy = sampler.entry(py - iy);
            ix--;
            iy--;
            if (ix < 0 || iy < 0 || ix > lastX || iy > lastY) {
                out[o + i] = sum(ix, iy, wx, wy);
                continue;
            }
            float w0 = t[wx];
            float w1 = t[wx + 1];
            float w2 = t[wx + 2];
            float w3 = t[wx + 3];
            int p = offset + iy * stride + ix;
            float r0 = w0 * data[p] + w1 * data[p + 1] + w2 * data[p + 2] + w3 * data[p + 3];
            p += stride;
            float r1 = w0 * data[p] + w1 * data[p + 1] + w2 * data[p + 2] + w3 * data[p + 3];
            p += stride;
            float r2 = w0 * data[p] + w1 * data[p + 1] + w2 * data[p + 2] + w3 * data[p + 3];
            p += stride;
            float r3 = w0 * data[p] + w1 * data[p + 1] + w2 * data[p + 2] + w3 * data[p + 3];
            out[o + i] = t[wy] * r0 + t[wy + 1] * r1 + t[wy + 2] * r2 + t[wy + 3] * r3;
        }
    }

    private void wide(double[] x, double[] y, int n, float[] out, int o) {
        for (int i = 0; i < n; i++) {
            double px = near(x[i]);
            double py = near(y[i]);
            int ix = floor(px);
            int iy = floor(py);
            int wx = sampler.entry(px - ix);
            int wy = sampler.entry(py - iy);
            out[o + i] = sum(ix + sampler.firstTap(), iy + sampler.firstTap(), wx, wy);
        }
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

    /** A place relative to pixel centres, within what can be counted. */
    private static double near(double place) {
        double p = place - 0.5;
        return p > FAR ? FAR : p > -FAR ? p : -FAR;
    }

    private static int floor(double p) {
        int whole = (int) p;
        return p < whole ? whole - 1 : whole;
    }
}
