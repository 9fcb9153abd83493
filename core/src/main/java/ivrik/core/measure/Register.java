package ivrik.core.measure;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.Workers;

/**
 * How far a picture is out of register: the largest and the mean difference between it and its
 * source, over all samples of the three colour channels; 1 is the range from black to white.
 */
public record Register(double largest, double mean) {
    /** Under half of a 16-bit code: not even such a picture can tell them apart. */
    private static final double HALF_CODE = 0.5 / 65535;

    public boolean isExact() {
        return largest < HALF_CODE;
    }

    /** Compares two frames of one size, as they show over black. */
    public static Register between(Frame picture, Frame source, Workers workers) {
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
        return new Register(most, sum / (3.0 * a.width() * a.height()));
    }
}
