package ivrik.core.picture;

/**
 * Sample-by-sample arithmetic on planes of one size. Each makes a new plane; the loops are flat so
 * that the compiler vectorises them.
 */
public final class Kernels {
    private Kernels() {}

    /** a * b. */
    public static Plane multiply(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        out[o + k] = x[i + k] * y[j + k];
                    }
                });
    }

    /** a / b, and 0 where b is 0. */
    public static Plane divide(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        float by = y[j + k];
                        out[o + k] = by == 0 ? 0 : x[i + k] / by;
                    }
                });
    }

    /** The greater of a and b. */
    public static Plane maximum(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        out[o + k] = Math.max(x[i + k], y[j + k]);
                    }
                });
    }

    /** a + b. */
    public static Plane add(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        out[o + k] = x[i + k] + y[j + k];
                    }
                });
    }

    /** a + b - a * b: the screen of W3C Compositing and Blending Level 1, exact where either is 0. */
    public static Plane screen(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        float s = x[i + k];
                        float t = y[j + k];
                        out[o + k] = s + t - s * t;
                    }
                });
    }

    /** What lies under {@code over} shows by what it leaves uncovered: over + (1 - coverage) * under. */
    public static Plane over(Plane over, Plane coverage, Plane under, Workers workers) {
        Plane hidden = multiply(coverage, under, workers);
        return pairwise(
                over,
                under,
                workers,
                (x, i, y, j, out, o, n) -> {
                    float[] h = hidden.data();
                    for (int k = 0; k < n; k++) {
                        out[o + k] = x[i + k] + (y[j + k] - h[o + k]);
                    }
                });
    }

    /** a * factor. */
    public static Plane scale(Plane a, float factor, Workers workers) {
        return pairwise(
                a,
                a,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        out[o + k] = x[i + k] * factor;
                    }
                });
    }

    /** a where t is 0, b where t is 1: a + t * (b - a). */
    public static Plane mix(Plane a, Plane b, float t, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, i, y, j, out, o, n) -> {
                    for (int k = 0; k < n; k++) {
                        out[o + k] = x[i + k] + t * (y[j + k] - x[i + k]);
                    }
                });
    }

    /** One row's work: {@code n} samples of {@code x} from {@code i}, {@code y} from {@code j}. */
    private interface RowPair {
        void run(float[] x, int i, float[] y, int j, float[] out, int o, int n);
    }

    private static Plane pairwise(Plane a, Plane b, Workers workers, RowPair rows) {
        if (!a.size().equals(b.size())) {
            throw new IllegalArgumentException(a + " and " + b + " differ in size");
        }
        Plane out = Plane.of(a.width(), a.height());
        workers.rows(
                a.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        rows.run(
                                a.data(),
                                a.row(y),
                                b.data(),
                                b.row(y),
                                out.data(),
                                out.row(y),
                                a.width());
                    }
                });
        return out;
    }
}
