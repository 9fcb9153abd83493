package ivrik.core.picture;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.VectorSpecies;

import java.util.Arrays;

/**
 * Arithmetic on rows. Loops over arrays of their own with one index are vectorised by the compiler; where
 * rows begin at places of their own they are worked on in vectors: in whole ones, in arrays with {@link #room}, or what
 * is left one by one, and what lies beyond stays.
 */
public final class Lines {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    /** The largest code of a byte. */
    private static final int BYTE = 255;

    private Lines() {}

    /** How long an array must be for {@code n} values to be worked on in whole vectors. */
    public static int room(int n) {
        return FLOATS.loopBound(n + FLOATS.length() - 1);
    }

    /** a + b, each from a place of its own on; in whole vectors, see {@link #room}. */
    public static void sum(float[] a, int fromA, float[] b, int fromB, float[] out, int n) {
        for (int i = 0; i < n; i += FLOATS.length()) {
            at(a, fromA + i).add(at(b, fromB + i)).intoArray(out, i);
        }
    }

    /** a * w, each from a place of its own on; what is beyond n stays. */
    public static void scale(float[] a, int from, float w, float[] out, int to, int n) {
        int i = 0;
        for (; i <= n - FLOATS.length(); i += FLOATS.length()) {
            at(a, from + i).mul(w).intoArray(out, to + i);
        }
        for (; i < n; i++) {
            out[to + i] = a[from + i] * w;
        }
    }

    /** Every {@code step}-th sample from a place on, put together; in whole vectors. */
    public static void every(float[] a, int from, int step, float[] out, int o, int n) {
        int[] steps = new int[FLOATS.length()];
        Arrays.setAll(steps, i -> i * step);
        for (int i = 0; i < n; i += FLOATS.length()) {
            FloatVector.fromArray(FLOATS, a, from + i * step, steps, 0).intoArray(out, o + i);
        }
    }

    /** Adds a * w from a place on; in whole vectors. */
    public static void add(float[] a, int from, float w, float[] out, int n) {
        for (int i = 0; i < n; i += FLOATS.length()) {
            at(out, i).add(at(a, from + i).mul(w)).intoArray(out, i);
        }
    }

    /**
     * The sum of {@code taps} samples that follow each other, each by its weight from {@code fromW} on; in whole
     * vectors.
     */
    public static void weighted(
            float[] a, int from, float[] w, int fromW, int taps, float[] out, int n) {
        for (int i = 0; i < n; i += FLOATS.length()) {
            FloatVector sum = at(a, from + i).mul(w[fromW]);
            for (int k = 1; k < taps; k++) {
                sum = sum.add(at(a, from + i + k).mul(w[fromW + k]));
            }
            sum.intoArray(out, i);
        }
    }

    /** Adds (a + b) * w, each from a place of its own on; what is beyond n stays. */
    public static void addPair(
            float[] a, int fromA, float[] b, int fromB, float w, float[] out, int to, int n) {
        int i = 0;
        for (; i <= n - FLOATS.length(); i += FLOATS.length()) {
            FloatVector pair = at(a, fromA + i).add(at(b, fromB + i)).mul(w);
            at(out, to + i).add(pair).intoArray(out, to + i);
        }
        for (; i < n; i++) {
            out[to + i] += (a[fromA + i] + b[fromB + i]) * w;
        }
    }

    /** base * u + (a + b) * v + (c + d) * w, each from a place of its own on; what is beyond n stays. */
    public static void pairs(
            float[] base,
            int fromBase,
            float u,
            float[] a,
            int fromA,
            float[] b,
            int fromB,
            float v,
            float[] c,
            int fromC,
            float[] d,
            int fromD,
            float w,
            float[] out,
            int to,
            int n) {
        int i = 0;
        for (; i <= n - FLOATS.length(); i += FLOATS.length()) {
            FloatVector first = at(a, fromA + i).add(at(b, fromB + i)).mul(v);
            FloatVector second = at(c, fromC + i).add(at(d, fromD + i)).mul(w);
            at(base, fromBase + i).mul(u).add(first.add(second)).intoArray(out, to + i);
        }
        for (; i < n; i++) {
            float first = (a[fromA + i] + b[fromB + i]) * v;
            float second = (c[fromC + i] + d[fromD + i]) * w;
            out[to + i] = base[fromBase + i] * u + (first + second);
        }
    }

    /** The sum of four rows, each from a place of its own on and by its weight; what is beyond n stays. */
    public static void four(
            float[] r,
            int fromR,
            float a,
            float[] s,
            int fromS,
            float b,
            float[] t,
            int fromT,
            float c,
            float[] u,
            int fromU,
            float d,
            float[] out,
            int to,
            int n) {
        int i = 0;
        for (; i <= n - FLOATS.length(); i += FLOATS.length()) {
            FloatVector first = at(r, fromR + i).mul(a).add(at(s, fromS + i).mul(b));
            first.add(at(t, fromT + i).mul(c)).add(at(u, fromU + i).mul(d)).intoArray(out, to + i);
        }
        for (; i < n; i++) {
            out[to + i] = a * r[fromR + i] + b * s[fromS + i] + c * t[fromT + i] + d * u[fromU + i];
        }
    }

    /**
     * The codes of a byte of three rows, put together as words.
     *
     * @param shifts how far up in a word each lies, in bits
     */
    public static void words(float[][] rows, int[] shifts, int[] words) {
        words(rows[0], rows[1], rows[2], shifts[0], shifts[1], shifts[2], words);
    }

    private static void words(
            float[] a, float[] b, float[] c, int atA, int atB, int atC, int[] words) {
        for (int i = 0; i < words.length; i++) {
            int first = Math.min(BYTE, Math.max(0, (int) (a[i] * BYTE + 0.5f)));
            int second = Math.min(BYTE, Math.max(0, (int) (b[i] * BYTE + 0.5f)));
            int third = Math.min(BYTE, Math.max(0, (int) (c[i] * BYTE + 0.5f)));
            words[i] = first << atA | second << atB | third << atC;
        }
    }

    /**
     * The codes of samples: the nearest of 0 to {@code largest} to a sample's share of it. As {@link Depth#toCode} has
     * them, but in floats: right half way between two codes either may come out. They stay floats, which Java makes
     * bytes of in vectors; of whole numbers it does not.
     *
     * @param largest below 2^16
     * @param out may be the samples themselves
     */
    public static void codes(float[] a, int largest, float[] out) {
        for (int i = 0; i < out.length; i++) {
            int code = (int) (a[i] * largest + 0.5f);
            out[i] = Math.min(largest, Math.max(0, code));
        }
    }

    private static FloatVector at(float[] row, int i) {
        return FloatVector.fromArray(FLOATS, row, i);
    }

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

    /** Adds (a - b) * w. */
    public static void addDifference(float[] a, float[] b, float w, float[] out) {
        for (int i = 0; i < out.length; i++) {
            out[i] += (a[i] - b[i]) * w;
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
}
