package ivrik.core.picture;

import ivrik.core.threads.Workers;

/**
 * Sample-by-sample arithmetic on planes of the same size. Each method returns a new plane. Loops run with one
 * index over whole arrays, so that the compiler vectorises them; a view is copied first.
 */
public final class PlaneArithmetic {
    private PlaneArithmetic() {}

    /** Computes a sample from its value and its index. */
    @FunctionalInterface
    public interface Sampled {
        double of(float sample, int x, int y);
    }

    /** Applies a function to each sample. */
    public static Plane sampled(Plane a, Sampled made, Workers workers) {
        Plane out = Plane.of(a.width(), a.height());
        workers.rows(
                a.height(),
                (from, to) -> {
                    for (int y = from; y < to; y++) {
                        for (int x = 0; x < a.width(); x++) {
                            out.data()[out.row(y) + x] = (float) made.of(a.at(x, y), x, y);
                        }
                    }
                });
        return out;
    }

    /** a * b. */
    public static Plane multiply(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = x[i] * y[i];
                    }
                });
    }

    /** a / b, and 0 where b is 0. */
    public static Plane divide(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = y[i] == 0 ? 0 : x[i] / y[i];
                    }
                });
    }

    /** The greater of a and b. */
    public static Plane maximum(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = Math.max(x[i], y[i]);
                    }
                });
    }

    /** a + b. */
    public static Plane add(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = x[i] + y[i];
                    }
                });
    }

    /** a - b, clamped to 0..1. */
    public static Plane excess(Plane a, Plane b, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = Math.min(1, Math.max(0, x[i] - y[i]));
                    }
                });
    }

    /** Composites premultiplied {@code over} on {@code under}: over + (1 - coverage) * under. */
    public static Plane over(Plane over, Plane coverage, Plane under, Workers workers) {
        float[] cover = whole(coverage).data();
        return pairwise(
                over,
                under,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = x[i] + (y[i] - cover[i] * y[i]);
                    }
                });
    }

    /** a * factor. */
    public static Plane scale(Plane a, float factor, Workers workers) {
        return pairwise(
                a,
                a,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = x[i] * factor;
                    }
                });
    }

    /** a where t is 0, b where t is 1: a + t * (b - a). */
    public static Plane mix(Plane a, Plane b, float t, Workers workers) {
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = x[i] + t * (y[i] - x[i]);
                    }
                });
    }

    /** {@link #mix(Plane, Plane, float, Workers)} of coverages, which stay within 0..1 for any t. */
    public static Plane mixCoverage(Plane a, Plane b, float t, Workers workers) {
        if (t <= 1) {
            return mix(a, b, t, workers);
        }
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = Math.clamp(x[i] + t * (y[i] - x[i]), 0f, 1f);
                    }
                });
    }

    /** a where t is 0, b where t is 1, at each place: a + t * (b - a). */
    public static Plane mix(Plane a, Plane b, Plane t, Workers workers) {
        float[] share = whole(t).data();
        return pairwise(
                a,
                b,
                workers,
                (x, y, out, from, to) -> {
                    for (int i = from; i < to; i++) {
                        out[i] = x[i] + share[i] * (y[i] - x[i]);
                    }
                });
    }

    /** Computes the samples from index {@code from} to before {@code to}. */
    private interface Pair {
        void run(float[] x, float[] y, float[] out, int from, int to);
    }

    private static Plane pairwise(Plane a, Plane b, Workers workers, Pair pair) {
        if (!a.size().equals(b.size())) {
            throw new IllegalArgumentException(a + " and " + b + " differ in size");
        }
        float[] x = whole(a).data();
        float[] y = whole(b).data();
        Plane out = Plane.of(a.width(), a.height());
        workers.rows(
                a.height(),
                (from, to) -> pair.run(x, y, out.data(), from * a.width(), to * a.width()));
        return out;
    }

    /** A plane whose samples are contiguous from index 0; the plane itself if they are. */
    private static Plane whole(Plane in) {
        if (in.offset() == 0 && in.stride() == in.width()) {
            return in;
        }
        Plane copy = Plane.of(in.width(), in.height());
        for (int y = 0; y < in.height(); y++) {
            System.arraycopy(in.data(), in.row(y), copy.data(), copy.row(y), in.width());
        }
        return copy;
    }
}
