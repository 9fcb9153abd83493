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

    float above(float light) {
        float width = high - low;
        float over = Math.max(0, light - low);
        float soft = Math.min(over, width);
        return soft * soft / (2 * width) + (over - soft);
    }

    /** Replaces the values from one on, up to another. */
    void above(float[] light, int from, int to) {
        for (int i = from; i < to; i++) {
            light[i] = above(light[i]);
        }
    }
}
