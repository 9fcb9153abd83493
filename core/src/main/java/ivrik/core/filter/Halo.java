package ivrik.core.filter;

import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.threads.Workers;

/**
 * Light spread about where it falls, from a Gaussian to the longer tail of a round exponential exp(-r / l)
 * of the same mean square radius. The exponential is a sum of Gaussians: their variances 2 u l^2 are spread
 * by a gamma distribution of shape 3/2, of which four shares are taken, each at its mean. What then lies
 * within any radius is within 0.013 of the exponential's.
 */
public final class Halo {
    /** Means of the gamma distribution within 0 to 0.25, to 0.8, to 2 and beyond. */
    private static final double[] MEANS = {0.1463, 0.5255, 1.3257, 3.1522};

    /** How much of it lies there. */
    private static final double[] SHARES = {0.0811, 0.2603, 0.3972, 0.2614};

    /** The mean square of the radius of a round exponential, in squares of its length. */
    private static final double MEAN_SQUARE = 6;

    private Halo() {}

    /**
     * A plane spread.
     *
     * @param sigma of the Gaussian, in pixels of the plane
     * @param tail 0 for the Gaussian, 1 for the exponential, between them their mixture
     */
    public static Rows of(Plane in, double sigma, double tail, EdgeFill fill, Workers workers) {
        Rows round = tail < 1 ? Gaussian.of(in, sigma, sigma, fill, workers) : null;
        if (tail == 0) {
            return round;
        }
        Plane sum = round == null ? null : scaled(round, 1 - tail, workers);
        double length = sigma * Math.sqrt(2 / MEAN_SQUARE);
        for (int i = 0; i < MEANS.length; i++) {
            double each = length * Math.sqrt(2 * MEANS[i]);
            Rows part = Gaussian.of(in, each, each, fill, workers);
            if (sum == null) {
                sum = scaled(part, tail * SHARES[i], workers);
            } else {
                add(part, (float) (tail * SHARES[i]), sum, workers);
            }
        }
        return Rows.of(sum);
    }

    private static Plane scaled(Rows rows, double by, Workers workers) {
        Plane plane = Plane.of(rows.width(), rows.height());
        add(rows, (float) by, plane, workers);
        return plane;
    }

    private static void add(Rows rows, float by, Plane sum, Workers workers) {
        workers.rows(
                sum.height(),
                (from, to) -> {
                    Rows.Reader reader = rows.reader();
                    float[] row = new float[sum.width()];
                    for (int y = from; y < to; y++) {
                        reader.row(y, row, 0);
                        add(row, by, sum.data(), sum.row(y));
                    }
                });
    }

    private static void add(float[] row, float by, float[] sum, int o) {
        for (int x = 0; x < row.length; x++) {
            sum[o + x] += by * row[x];
        }
    }
}
