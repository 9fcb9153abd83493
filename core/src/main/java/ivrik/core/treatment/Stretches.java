package ivrik.core.treatment;

/**
 * The stretches of a row where there is something to be done: a row is looked through in parts, and those beside
 * each other are done at once, for long loops are quicker.
 */
final class Stretches {
    private static final int PART = 64;

    private Stretches() {}

    /** Asks of the values from one place on, up to another. */
    @FunctionalInterface
    interface Asked {
        boolean of(int from, int to);
    }

    /** Works on the values from one place on, up to another. */
    @FunctionalInterface
    interface Work {
        void on(int from, int to);
    }

    /** Works on all parts of a row of {@code n} of which it is asked for. */
    static void of(int n, Asked asked, Work work) {
        int begun = -1;
        for (int from = 0; from < n; from += PART) {
            boolean is = asked.of(from, Math.min(n, from + PART));
            if (is && begun < 0) {
                begun = from;
            } else if (!is && begun >= 0) {
                work.on(begun, from);
                begun = -1;
            }
        }
        if (begun >= 0) {
            work.on(begun, n);
        }
    }

    /**
     * Whether any of these values is as large, or as far below zero. By whole numbers, which Java makes vectors
     * of where it does not for the greatest of floats.
     */
    static boolean any(float[] values, float least, int from, int to) {
        float perLeast = 1 / least;
        int any = 0;
        for (int i = from; i < to; i++) {
            any |= (int) (Math.abs(values[i]) * perLeast);
        }
        return any != 0;
    }
}
