package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.threads.Workers;

/**
 * Shears a plane along one of its axes and blurs it along the same axis in one step: samples between pixels
 * are values of the Gaussian, so that no interpolation is needed. Outside is zero.
 *
 * @param size size of the result
 * @param down whether columns move vertically; else rows move horizontally
 * @param slope additional displacement per column or row
 * @param start displacement of the first column or row
 * @param sigma sigma of the blur, in px
 */
record GaussianShear(Size size, boolean down, double slope, double start, double sigma) {
    private static final double END = 4;

    /** A shear whose result has room for the whole plane. */
    static GaussianShear of(Size in, double slope, boolean down, double sigma) {
        int count = down ? in.width() : in.height();
        int lean = (int) Math.ceil(Math.abs(slope) * count) + 2 * radius(sigma);
        Size size =
                down
                        ? new Size(in.width(), in.height() + lean)
                        : new Size(in.width() + lean, in.height());
        double start = (slope > 0 ? 0 : -slope * count) + radius(sigma);
        return new GaussianShear(size, down, slope, start, sigma);
    }

    /** The inverse shear, to the given size. */
    GaussianShear back(Size to) {
        return new GaussianShear(to, down, -slope, -start, sigma);
    }

    private static int radius(double sigma) {
        return (int) Math.ceil(END * sigma);
    }

    Plane apply(Plane in, Workers workers) {
        int count = down ? size.width() : size.height();
        int taps = 2 * radius(sigma) + 1;
        int[] first = new int[count];
        float[][] weights = new float[count][taps];
        for (int i = 0; i < count; i++) {
            double from = -(start + slope * (i + 0.5));
            first[i] = (int) Math.round(from) - radius(sigma);
            double sum = 0;
            double[] w = new double[taps];
            for (int k = 0; k < taps; k++) {
                double d = (first[i] + k - from) / sigma;
                w[k] = StrictMath.exp(-0.5 * d * d);
                sum += w[k];
            }
            for (int k = 0; k < taps; k++) {
                weights[i][k] = (float) (w[k] / sum);
            }
        }
        Plane out = Plane.of(size.width(), size.height());
        workers.rows(
                size.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        if (down) {
                            down(in, out, y, first, weights);
                        } else {
                            across(in, out, y, first[y], weights[y]);
                        }
                    }
                });
        return out;
    }

    private void down(Plane in, Plane out, int y, int[] first, float[][] weights) {
        int o = out.row(y);
        for (int x = 0; x < size.width(); x++) {
            int begin = y + first[x];
            float[] w = weights[x];
            float sum = 0;
            for (int k = Math.max(0, -begin); k < Math.min(w.length, in.height() - begin); k++) {
                sum += w[k] * in.data()[in.row(begin + k) + x];
            }
            out.data()[o + x] = sum;
        }
    }

    private void across(Plane in, Plane out, int y, int first, float[] w) {
        int o = out.row(y);
        int row = in.row(y);
        for (int x = 0; x < size.width(); x++) {
            int begin = x + first;
            float sum = 0;
            for (int k = Math.max(0, -begin); k < Math.min(w.length, in.width() - begin); k++) {
                sum += w[k] * in.data()[row + begin + k];
            }
            out.data()[o + x] = sum;
        }
    }
}
