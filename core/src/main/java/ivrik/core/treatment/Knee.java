package ivrik.core.treatment;

/**
 * What lies above a threshold: nothing below it, then a parabola, then a straight line. It is soft for half
 * a stop below and above.
 *
 * @param low where it begins
 * @param high from where on it is straight
 */
record Knee(float low, float high) {
    /** Linear light of a middle grey. */
    private static final double MIDDLE_GREY = 0.18;

    private static final double SOFT_STOPS = 0.5;

    /** So many stops of linear light over middle grey. */
    static Knee stopsOverGrey(double stops) {
        double threshold = MIDDLE_GREY * StrictMath.pow(2, stops);
        return new Knee(
                (float) (threshold * StrictMath.pow(2, -SOFT_STOPS)),
                (float) (threshold * StrictMath.pow(2, SOFT_STOPS)));
    }

    /** By sums alone, which Java makes vectors of. */
    float above(float light) {
        float width = high - low;
        float over = positive(light - low);
        float straight = positive(over - width);
        float soft = over - straight;
        return soft * soft * (1 / (2 * width)) + straight;
    }

    /** The same for the values from one on, up to another. */
    void above(float[] light, float[] above, int from, int to) {
        for (int i = from; i < to; i++) {
            above[i] = above(light[i]);
        }
    }

    private static float positive(float v) {
        return 0.5f * (v + Math.abs(v));
    }
}
