package ivrik.core.treatment;

/**
 * A soft threshold: 0 below, then a parabola, then the excess over the threshold. The parabola extends half a
 * stop to each side.
 *
 * @param low start of the parabola
 * @param high end of the parabola
 */
record Knee(float low, float high) {
    /** Linear light of middle grey. */
    private static final double MIDDLE_GREY = 0.18;

    private static final double SOFT_STOPS = 0.5;

    /** A threshold in stops above middle grey. */
    static Knee stopsOverGrey(double stops) {
        double threshold = MIDDLE_GREY * StrictMath.pow(2, stops);
        return new Knee(
                (float) (threshold * StrictMath.pow(2, -SOFT_STOPS)),
                (float) (threshold * StrictMath.pow(2, SOFT_STOPS)));
    }

    /** The excess, written as a sum so that the loop vectorises. */
    float above(float light) {
        float width = high - low;
        float over = positive(light - low);
        float straight = positive(over - width);
        float soft = over - straight;
        return soft * soft * (1 / (2 * width)) + straight;
    }

    /** The excess of a range of values. */
    void above(float[] light, float[] above, int from, int to) {
        for (int i = from; i < to; i++) {
            above[i] = above(light[i]);
        }
    }

    private static float positive(float v) {
        return 0.5f * (v + Math.abs(v));
    }
}
