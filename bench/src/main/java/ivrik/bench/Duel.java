package ivrik.bench;

import java.util.Arrays;

/**
 * Two pieces of work in turn, many times, so that a machine whose speed drifts slows both. The ratio
 * is the median of the ratios of neighbours.
 *
 * @param limit what the ratio may be at most; not a number where there is none
 */
record Duel(String name, Runnable ours, Runnable reference, double limit) {
    /** What came out. */
    record Result(String name, double ivrikMs, double referenceMs, double ratio, double limit) {
        boolean isWithinLimit() {
            return !(ratio > limit);
        }
    }

    Result run(int warmUps, int rounds) {
        for (int i = 0; i < warmUps; i++) {
            ours.run();
            reference.run();
        }
        double[] a = new double[rounds];
        double[] b = new double[rounds];
        double[] ratios = new double[rounds];
        for (int i = 0; i < rounds; i++) {
            a[i] = milliseconds(ours);
            b[i] = milliseconds(reference);
            ratios[i] = a[i] / b[i];
        }
        return new Result(name, median(a), median(b), median(ratios), limit);
    }

    private static double milliseconds(Runnable work) {
        long began = System.nanoTime();
        work.run();
        return (System.nanoTime() - began) / 1e6;
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
