package ivrik.core.measure;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

/**
 * Misregistration of a picture: largest and mean difference from its source over all samples of the three
 * colour channels; 1 is the range from black to white.
 */
public record Misregistration(double largest, double mean) {
    /** Half of a 16-bit code value: smaller differences are lost even in a 16-bit picture. */
    private static final double HALF_CODE = 0.5 / 65535;

    public boolean isExact() {
        return largest < HALF_CODE;
    }

    /** Compares two frames of the same size, composited over black. */
    public static Misregistration between(Frame picture, Frame source, Workers workers) {
        Frame a = picture.premultiplied(workers);
        Frame b = source.premultiplied(workers);
        double[] largest = new double[a.height()];
        double[] sums = new double[a.height()];
        for (int c = 0; c < 3; c++) {
            Plane p = a.colour().get(c);
            Plane q = b.colour().get(c);
            if (p == q) {
                continue;
            }
            workers.rows(
                    a.height(),
                    (from, to) -> {
                        for (int y = from; y < to; y++) {
                            float most = (float) largest[y];
                            double sum = 0;
                            for (int x = 0; x < p.width(); x++) {
                                float d = Math.abs(p.data()[p.row(y) + x] - q.data()[q.row(y) + x]);
                                most = Math.max(most, d);
                                sum += d;
                            }
                            largest[y] = most;
                            sums[y] += sum;
                        }
                    });
        }
        double most = 0;
        double sum = 0;
        for (int y = 0; y < a.height(); y++) {
            most = Math.max(most, largest[y]);
            sum += sums[y];
        }
        return new Misregistration(most, sum / (3.0 * a.width() * a.height()));
    }
}
