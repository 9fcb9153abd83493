package ivrik.core.filter;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorOperators;
import jdk.incubator.vector.VectorSpecies;

/**
 * Floats as whole numbers of the same order, for filters that compare: whole numbers are compared in
 * one instruction, floats in many. The code is its own inverse, bit by bit; -0 comes before 0, and what
 * is not a number after all numbers.
 *
 * <p>Rows are worked on in whole vectors: arrays have the room that {@link ivrik.core.picture.Lines#room} gives.
 */
final class Ordered {
    static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    private Ordered() {}

    /** The codes of some floats; turned by -1 the greater come first, by 0 the less. */
    static void code(float[] in, int turn, int[] out, int n) {
        for (int i = 0; i < n; i += INTS.length()) {
            turned(FloatVector.fromArray(FLOATS, in, i).reinterpretAsInts())
                    .lanewise(VectorOperators.XOR, turn)
                    .intoArray(out, i);
        }
    }

    static void decode(int[] in, int turn, float[] out, int n) {
        for (int i = 0; i < n; i += INTS.length()) {
            turned(at(in, i).lanewise(VectorOperators.XOR, turn))
                    .reinterpretAsFloats()
                    .intoArray(out, i);
        }
    }

    private static IntVector turned(IntVector bits) {
        return bits.lanewise(
                VectorOperators.XOR,
                bits.lanewise(VectorOperators.ASHR, 31).lanewise(VectorOperators.AND, 0x7fffffff));
    }

    /** The lesser of each value and the one {@code by} further on. */
    static void least(int[] a, int by, int[] out, int n) {
        least(a, 0, a, by, out, n);
    }

    /** The lesser of each two values. Either row may be the one that is written, from where it is read. */
    static void least(int[] a, int fromA, int[] b, int fromB, int[] out, int n) {
        for (int i = 0; i < n; i += INTS.length()) {
            at(a, fromA + i).min(at(b, fromB + i)).intoArray(out, i);
        }
    }

    static IntVector at(int[] row, int i) {
        return IntVector.fromArray(INTS, row, i);
    }
}
