package ivrik.core.filter;

import java.lang.foreign.MemorySegment;
import java.lang.foreign.ValueLayout;

/**
 * Floats as whole numbers of the same order, for filters that compare: whole numbers are compared in
 * one instruction, floats in many. The code is its own inverse, bit by bit; -0 comes before 0, and what
 * is not a number after all numbers. The bits are copied as they are, because the compiler does not
 * vectorise their change of type.
 */
final class Ordered {
    private Ordered() {}

    static void code(float[] in, int from, int[] out, int n) {
        MemorySegment.copy(
                MemorySegment.ofArray(in),
                ValueLayout.JAVA_INT,
                (long) from * Float.BYTES,
                out,
                0,
                n);
        turn(out, n);
    }

    /** Uses up what it decodes. */
    static void decode(int[] in, float[] out, int to, int n) {
        turn(in, n);
        MemorySegment.copy(
                in,
                0,
                MemorySegment.ofArray(out),
                ValueLayout.JAVA_INT,
                (long) to * Float.BYTES,
                n);
    }

    private static void turn(int[] bits, int n) {
        for (int i = 0; i < n; i++) {
            int b = bits[i];
            bits[i] = b ^ ((b >> 31) & 0x7fffffff);
        }
    }

    /** The lesser into the first, the greater into the second. */
    static void sort(int[] p, int[] q, int n) {
        for (int i = 0; i < n; i++) {
            int a = p[i];
            int b = q[i];
            p[i] = Math.min(a, b);
            q[i] = Math.max(a, b);
        }
    }

    static void sort(int[] p, int[] q, int[] r, int n) {
        for (int i = 0; i < n; i++) {
            int a = p[i];
            int b = q[i];
            int c = r[i];
            int low = Math.min(a, b);
            int high = Math.max(a, b);
            int middle = Math.min(high, c);
            r[i] = Math.max(high, c);
            p[i] = Math.min(low, middle);
            q[i] = Math.max(low, middle);
        }
    }

    /** The least into the first, the greatest into the last, the others between in any order. */
    static void ends(int[] p, int[] q, int[] r, int[] s, int n) {
        for (int i = 0; i < n; i++) {
            int a = Math.min(p[i], q[i]);
            int b = Math.max(p[i], q[i]);
            int c = Math.min(r[i], s[i]);
            int d = Math.max(r[i], s[i]);
            p[i] = Math.min(a, c);
            q[i] = Math.max(a, c);
            r[i] = Math.min(b, d);
            s[i] = Math.max(b, d);
        }
    }

    /** By nine comparisons (Knuth, The Art of Computer Programming, 5.3.4). */
    static void sort(int[] p, int[] q, int[] r, int[] s, int[] t, int n) {
        for (int i = 0; i < n; i++) {
            int a = Math.min(p[i], s[i]);
            int d = Math.max(p[i], s[i]);
            int b = Math.min(q[i], t[i]);
            int e = Math.max(q[i], t[i]);
            int a2 = Math.min(a, r[i]);
            int c = Math.max(a, r[i]);
            int b2 = Math.min(b, d);
            int d2 = Math.max(b, d);
            int c2 = Math.min(c, e);
            int e2 = Math.max(c, e);
            int b3 = Math.max(a2, b2);
            p[i] = Math.min(a2, b2);
            int c3 = Math.max(b3, c2);
            q[i] = Math.min(b3, c2);
            int d3 = Math.min(d2, e2);
            t[i] = Math.max(d2, e2);
            r[i] = Math.min(c3, d3);
            s[i] = Math.max(c3, d3);
        }
    }

    static void least(int[] a, int[] b, int[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = Math.min(a[i], b[i]);
        }
    }

    static void greatest(int[] a, int[] b, int[] out, int n) {
        for (int i = 0; i < n; i++) {
            out[i] = Math.max(a[i], b[i]);
        }
    }
}
