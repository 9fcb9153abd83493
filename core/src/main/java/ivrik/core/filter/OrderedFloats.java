package ivrik.core.filter;

import jdk.incubator.vector.FloatVector;
import jdk.incubator.vector.IntVector;
import jdk.incubator.vector.VectorOperators;
import jdk.incubator.vector.VectorSpecies;

/**
 * Maps floats to integers in the same order. Filters that compare use the integers: comparing integers takes
 * one instruction, comparing floats several. The mapping is its own inverse, bit by bit. -0 sorts before 0,
 * NaN after all numbers.
 * <p>Rows are processed in whole vectors: arrays need the length given by
 * {@link ivrik.core.picture.RowArithmetic#room}.
 */
final class OrderedFloats {
    static final VectorSpecies<Integer> INTS = IntVector.SPECIES_PREFERRED;
    private static final VectorSpecies<Float> FLOATS = FloatVector.SPECIES_PREFERRED;

    private OrderedFloats() {}

    /**
     * Maps floats to codes.
     *
     * @param turn 0 for ascending order, -1 for descending order
     */
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

    /** The smaller of each value and the value {@code by} elements later. */
    static void least(int[] a, int by, int[] out, int n) {
        least(a, 0, a, by, out, n);
    }

    /**
     * The smaller of each pair of values. The output may be one of the inputs at the index it is read from.
     */
    static void least(int[] a, int fromA, int[] b, int fromB, int[] out, int n) {
        for (int i = 0; i < n; i += INTS.length()) {
            at(a, fromA + i).min(at(b, fromB + i)).intoArray(out, i);
        }
    }

    static IntVector at(int[] row, int i) {
        return IntVector.fromArray(INTS, row, i);
    }
}
