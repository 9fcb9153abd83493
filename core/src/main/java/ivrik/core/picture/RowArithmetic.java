package ivrik.core.picture;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.VectorSpecies;

import java.util.Arrays;

/**
 * Arithmetic on rows. The compiler vectorises loops over whole arrays. Loops over parts of arrays use the
 * Vector API: methods "in whole vectors" may write up to {@link #room} elements, the others handle the
 * remainder one by one and leave elements beyond {@code n} unchanged.
 */
public final class RowArithmetic {
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    /** Largest 8-bit code. */
    private static final int BYTE = 255;

    private RowArithmetic() {}

    /** Array length that is needed to process {@code n} values in whole vectors. */
    public static int room(int n) {
        return FLOATS.loopBound(n + FLOATS.length() - 1);
    }

    /** a + b from the given indices, in whole vectors; see {@link #room}. */
    public static void sum(float[] a, int fromA, float[] b, int fromB, float[] out, int n) {
        for (int i = 0; i < n; i += FLOATS.length()) {
            at(a, fromA + i).add(at(b, fromB + i)).intoArray(out, i);
        }
    }

    /** a * w from the given indices; elements beyond n stay unchanged. */
    public static void scale(float[] a, int from, float w, float[] out, int to, int n) {
        int i = 0;
        for (; i <= n - FLOATS.length(); i += FLOATS.length()) {
            at(a, from + i).mul(w).intoArray(out, to + i);
        }
        for (; i < n; i++) {
            out[to + i] = a[from + i] * w;
        }
    }

    /** Collects every {@code step}-th sample from an index on, in whole vectors. */
    public static void every(float[] a, int from, int step, float[] out, int o, int n) {
        int[] steps = new int[FLOATS.length()];
        Arrays.setAll(steps, i -> i * step);
        for (int i = 0; i < n; i += FLOATS.length()) {
            FloatVector.fromArray(FLOATS, a, from + i * step, steps, 0).intoArray(out, o + i);
        }
    }

    /** Adds a * w from an index on, in whole vectors. */
    public static void add(float[] a, int from, float w, float[] out, int n) {
        for (int i = 0; i < n; i += FLOATS.length()) {
            at(out, i).add(at(a, from + i).mul(w)).intoArray(out, i);
        }
    }

    /**
     * Weighted sum of {@code taps} consecutive samples, in whole vectors.
     *
     * @param fromW index of the first weight
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

    /** Adds (a + b) * w from the given indices; elements beyond n stay unchanged. */
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

    /**
     * base * u + (a + b) * v + (c + d) * w from the given indices; elements beyond n stay unchanged.
     */
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

    /** Weighted sum of four rows from the given indices; elements beyond n stay unchanged. */
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
     * Packs the byte codes of three rows into ints.
     *
     * @param shifts bit position of each row within an int
     */
    public static void packed(float[][] rows, int[] shifts, int[] packed) {
        packed(rows[0], rows[1], rows[2], shifts[0], shifts[1], shifts[2], packed);
    }

    private static void packed(
            float[] a, float[] b, float[] c, int atA, int atB, int atC, int[] packed) {
        for (int i = 0; i < packed.length; i++) {
            int first = Math.min(BYTE, Math.max(0, (int) (a[i] * BYTE + 0.5f)));
            int second = Math.min(BYTE, Math.max(0, (int) (b[i] * BYTE + 0.5f)));
            int third = Math.min(BYTE, Math.max(0, (int) (c[i] * BYTE + 0.5f)));
            packed[i] = first << atA | second << atB | third << atC;
        }
    }

    /**
     * Integer codes of samples: round(sample * largest), clamped to 0..{@code largest}. As
     * {@link Depth#toCode}, except that values half way between two codes may round either way. The codes
     * stay floats, because Java vectorises the conversion from float to byte but not from int to byte.
     *
     * @param largest below 2^16
     * @param out may be {@code a}
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

    /**
     * Weighted sum of four rows.
     *
     * @param k index of the first weight
     */
    public static void four(float[][] rows, float[] w, int k, float[] out) {
        four(rows[0], rows[1], rows[2], rows[3], w[k], w[k + 1], w[k + 2], w[k + 3], out);
    }

    /** Weighted sum of four rows. */
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
