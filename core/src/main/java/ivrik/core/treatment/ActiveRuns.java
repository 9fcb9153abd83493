package ivrik.core.treatment;

/**
 * Finds the runs of a row where work is needed. The row is tested in blocks, and adjacent active blocks are
 * processed in one long loop, which is faster.
 */
final class ActiveRuns {
    private static final int PART = 64;

    private ActiveRuns() {}

    /** Tests a range of indices. */
    @FunctionalInterface
    interface Asked {
        boolean of(int from, int to);
    }

    /** Processes a range of indices. */
    @FunctionalInterface
    interface Work {
        void on(int from, int to);
    }

    /** Processes all active blocks of a row of {@code n} values. */
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
     * Whether any absolute value reaches {@code least}. Compares as integers, which vectorises in Java,
     * unlike the maximum of floats.
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
