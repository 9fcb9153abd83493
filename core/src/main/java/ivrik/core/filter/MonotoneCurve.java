package ivrik.core.filter;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Monotone cubic interpolation: Hermite pieces whose slope at a point is the harmonic mean of the adjacent
 * secants, or 0 where these differ in sign (Butland 1980; satisfies the condition of Fritsch and Carlson
 * 1980). Continues linearly beyond its ends.
 */
public final class MonotoneCurve {
    private static final double NEAR = 1e-6;

    private final double[] x;
    private final double[] y;
    private final double[] slope;

    private MonotoneCurve(List<double[]> points) {
        int n = points.size();
        x = points.stream().mapToDouble(p -> p[0]).toArray();
        y = points.stream().mapToDouble(p -> p[1]).toArray();
        slope = new double[n];
        double[] secant = new double[n - 1];
        for (int i = 0; i < n - 1; i++) {
            secant[i] = (y[i + 1] - y[i]) / (x[i + 1] - x[i]);
        }
        slope[0] = secant[0];
        slope[n - 1] = secant[n - 2];
        for (int i = 1; i < n - 1; i++) {
            slope[i] = secant[i - 1] * secant[i] <= 0 ? 0 : 2 / (1 / secant[i - 1] + 1 / secant[i]);
        }
    }

    /**
     * Interpolates points of input and output, and (0, 0) and (1, 1) unless a point has that input.
     */
    public static MonotoneCurve through(List<double[]> points) {
        List<double[]> all = new ArrayList<>();
        points.stream().sorted(Comparator.comparingDouble(p -> p[0])).forEach(p -> put(all, p));
        if (all.isEmpty() || all.getFirst()[0] > NEAR) {
            all.addFirst(new double[] {0, 0});
        }
        if (all.getLast()[0] < 1 - NEAR) {
            all.add(new double[] {1, 1});
        }
        if (all.size() == 1) {
            double[] only = all.getFirst();
            all.add(new double[] {only[0] + 1, only[1] + 1});
        }
        return new MonotoneCurve(all);
    }

    /** Inserts a point; of two points with the same input the later replaces the earlier. */
    private static void put(List<double[]> all, double[] point) {
        if (!all.isEmpty() && point[0] - all.getLast()[0] < NEAR) {
            all.removeLast();
        }
        all.add(point);
    }

    public double at(double v) {
        int n = x.length;
        if (v <= x[0]) {
            return y[0] + slope[0] * (v - x[0]);
        }
        if (v >= x[n - 1]) {
            return y[n - 1] + slope[n - 1] * (v - x[n - 1]);
        }
        int i = 0;
        while (v > x[i + 1]) {
            i++;
        }
        double h = x[i + 1] - x[i];
        double t = (v - x[i]) / h;
        double s = 1 - t;
        return y[i] * (1 + 2 * t) * s * s
                + y[i + 1] * (3 - 2 * t) * t * t
                + h * (slope[i] * t * s * s - slope[i + 1] * t * t * s);
    }

    /** Curves through the same points are equal. */
    @Override
    public boolean equals(Object other) {
        return other instanceof MonotoneCurve c && Arrays.equals(x, c.x) && Arrays.equals(y, c.y);
    }

    @Override
    public int hashCode() {
        return 31 * Arrays.hashCode(x) + Arrays.hashCode(y);
    }
}
