package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;

/** Filters by definition in double precision; slow. */
public final class Exact {
    private Exact() {}

    /** A sample, inside or outside the plane. */
    static double at(Plane in, int x, int y, EdgeFill fill) {
        int i = fill.inside(x, in.width());
        int j = fill.inside(y, in.height());
        return i < 0 || j < 0 ? 0 : in.at(i, j);
    }

    /** The sampled, normalised Gaussian out to its tails, one direction after the other. */
    static double[][] gaussian(Plane in, double sigmaX, double sigmaY, EdgeFill fill) {
        int w = in.width();
        int h = in.height();
        double[] down = weights(sigmaY);
        double[] across = weights(sigmaX);
        double[][] columns = new double[h][w];
        for (int x = 0; x < w; x++) {
            for (int y = 0; y < h; y++) {
                for (int k = 0; k < down.length; k++) {
                    columns[y][x] += down[k] * at(in, x, y + k - down.length / 2, fill);
                }
            }
        }
        double[][] out = new double[h][w];
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                for (int k = 0; k < across.length; k++) {
                    int i = fill.inside(x + k - across.length / 2, w);
                    out[y][x] += i < 0 ? 0 : across[k] * columns[y][i];
                }
            }
        }
        return out;
    }

    private static double[] weights(double sigma) {
        int radius = sigma == 0 ? 0 : (int) Math.ceil(6 * sigma) + 1;
        double[] w = new double[2 * radius + 1];
        double sum = 0;
        for (int k = 0; k < w.length; k++) {
            double t = k - radius;
            w[k] = sigma == 0 ? 1 : Math.exp(-t * t / (2 * sigma * sigma));
            sum += w[k];
        }
        for (int k = 0; k < w.length; k++) {
            w[k] /= sum;
        }
        return w;
    }

    /** The kernel of a sampler at a distance, by its textbook formula. */
    public static double kernel(Sampler sampler, double d) {
        return switch (sampler) {
            case LINEAR -> Math.max(0, 1 - d);
            case CUBIC ->
                    d < 1
                            ? 1.5 * Math.pow(d, 3) - 2.5 * d * d + 1
                            : d < 2 ? -0.5 * Math.pow(d, 3) + 2.5 * d * d - 4 * d + 2 : 0;
            case LANCZOS -> d < 1e-9 ? 1 : d < 3 ? sinc(d) * sinc(d / 3) : 0;
        };
    }

    private static double sinc(double d) {
        return Math.sin(Math.PI * d) / (Math.PI * d);
    }
}
