package ivrik.core.filter;

import ivrik.core.picture.RowArithmetic;

/**
 * Pairs of neighbours on both sides of a centre that share one weight: rows above and below a row, or a row
 * shifted to the left and right. Accessed in place.
 */
interface SymmetricPairs {
    /** The array that contains neighbour {@code number}. */
    float[] data(int number);

    /** Start index of neighbour {@code number} within its array. */
    int at(int number);

    /**
     * Weighted sum of a centre and its neighbours.
     *
     * @param half weights from the centre outwards
     * @param to output index
     * @param n number of sums; elements beyond stay unchanged
     */
    default void about(int number, float[] half, float[] out, int to, int n) {
        float[] data = data(number);
        pairs(data, at(number), half[0], half, 1, number - 1, number + 1, out, to, n);
    }

    /**
     * Adds weighted pairs, from the innermost outwards, to a weighted start row.
     *
     * @param first index in {@code half} of the weight of the innermost pair
     * @param before number of one neighbour of the innermost pair
     * @param after number of the other neighbour
     */
    default void pairs(
            float[] start,
            int startAt,
            float startWeight,
            float[] half,
            int first,
            int before,
            int after,
            float[] out,
            int to,
            int n) {
        float[] base = start;
        int from = startAt;
        float u = startWeight;
        int k = first;
        int a = before;
        int b = after;
        for (; k + 1 < half.length; k += 2, a -= 2, b += 2) {
            RowArithmetic.pairs(
                    base,
                    from,
                    u,
                    data(a),
                    at(a),
                    data(b),
                    at(b),
                    half[k],
                    data(a - 1),
                    at(a - 1),
                    data(b + 1),
                    at(b + 1),
                    half[k + 1],
                    out,
                    to,
                    n);
            base = out;
            from = to;
            u = 1;
        }
        if (base != out) {
            RowArithmetic.scale(base, from, u, out, to, n);
        }
        if (k < half.length) {
            RowArithmetic.addPair(data(a), at(a), data(b), at(b), half[k], out, to, n);
        }
    }
}
