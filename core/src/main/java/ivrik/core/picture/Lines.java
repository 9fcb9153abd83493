package ivrik.core.picture;

/**
 * Arithmetic on rows of one length. The loops run over arrays of their own with one index, which is
 * what the compiler vectorises.
 */
public final class Lines {
    private Lines() {}

    /** a * w. */
    public static void scale(float[] a, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] = a[i] * w;
        }
    }

    /** Adds a * w. */
    public static void add(float[] a, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] += a[i] * w;
        }
    }

    /** (a + b) * w. */
    public static void sum(float[] a, float[] b, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] = (a[i] + b[i]) * w;
        }
    }

    /** Adds (a - b) * w. */
    public static void addDifference(float[] a, float[] b, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] += (a[i] - b[i]) * w;
        }
    }

    /** Adds (a + b) * w. */
    public static void addPair(float[] a, float[] b, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] += (a[i] + b[i]) * w;
        }
    }

    /** a * v + b * w. */
    public static void two(float[] a, float[] b, float v, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] = v * a[i] + w * b[i];
        }
    }

    /** The sum of four rows, each by its weight from {@code k} on. */
    public static void four(float[][] rows, float[] w, int k, float[] out) {
        four(rows[0], rows[1], rows[2], rows[3], w[k], w[k + 1], w[k + 2], w[k + 3], out);
    }

    /** The sum of four rows, each by its weight. */
    public static void four(
            float[] r,
            float[] s,
            float[] t,
            float[] u,
            float a,
            float b,
            float c,
            float d,
            float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] = a * r[i] + b * s[i] + c * t[i] + d * u[i];
        }
    }

    /** Adds the sum of four rows, each by its weight from {@code k} on. */
    public static void addFour(float[][] rows, float[] w, int k, float[] out) {
        addFour(rows[0], rows[1], rows[2], rows[3], w[k], w[k + 1], w[k + 2], w[k + 3], out);
    }

    private static void addFour(
            float[] r,
            float[] s,
            float[] t,
            float[] u,
            float a,
            float b,
            float c,
            float d,
            float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] += a * r[i] + b * s[i] + c * t[i] + d * u[i];
        }
    }
}
