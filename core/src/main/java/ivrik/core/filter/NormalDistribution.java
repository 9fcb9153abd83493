package ivrik.core.filter;

/** Standard normal distribution. */
final class NormalDistribution {
    private static final int HALVINGS = 60;
    private static final int TERMS = 300;
    private static final double FAR = 9;

    private NormalDistribution() {}

    /**
     * Quantile function, by bisection of the distribution function.
     *
     * @param share probability, 0 to 1
     */
    static double quantile(double share) {
        double low = -FAR;
        double high = FAR;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (below(middle) < share) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** Distribution function, by its series about 0 (Abramowitz and Stegun 26.2.11). */
    private static double below(double x) {
        double term = x;
        double sum = x;
        for (int k = 1; k < TERMS; k++) {
            term *= x * x / (2 * k + 1);
            sum += term;
        }
        return 0.5 + sum * StrictMath.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI);
    }
}
