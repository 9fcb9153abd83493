package ivrik.core.filter;

import ivrik.core.picture.Lines;

/**
 * Samples that lie alike on both sides of a middle, to be summed with one weight for each pair: the rows of a plane
 * above and below one of them, or one row moved to the left and right. They are read where they lie.
 */
interface Neighbours {
    /** The array that the neighbour of a number lies in. */
    float[] data(int number);

    /** Where in it that begins. */
    int at(int number);

    /**
     * One of them and those about it.
     *
     * @param half the weights, the first of them its own
     * @param to where the sums begin
     * @param n how many there are; what lies beyond them stays
     */
    default void about(int number, float[] half, float[] out, int to, int n) {
        float[] data = data(number);
        pairs(data, at(number), half[0], half, 1, number - 1, number + 1, out, to, n);
    }

    /**
     * Adds pairs, from the innermost out, to something times a weight.
     *
     * @param first the weight of the innermost pair, a place in {@code half}
     * @param before one of that pair
     * @param after the other
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
            Lines.pairs(
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
            Lines.scale(base, from, u, out, to, n);
        }
        if (k < half.length) {
            Lines.addPair(data(a), at(a), data(b), at(b), half[k], out, to, n);
        }
    }
}
