package ivrik.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Two pieces of work in turn, many times, so that a machine whose speed drifts slows both. The ratio
 * is the median of the ratios of neighbours.
 *
 * @param limit what the ratio may be at most; not a number where there is none
 */
record Duel(String name, Runnable ours, Runnable reference, double limit) {
    private static final int FEWEST = 5;

    /** What came out. */
    record Result(String name, double ivrikMs, double referenceMs, double ratio, double limit) {
        boolean isWithinLimit() {
            return !(ratio > limit);
        }
    }

    /** Whether there is something that the ratio may be at most. */
    boolean isLimited() {
        return !Double.isNaN(limit);
    }

    /** Lets Java compile ours, for so many seconds; the reference needs no more than to be run once. */
    void warmUp(double seconds) {
        reference.run();
        for (double spent = 0; spent < 1000 * seconds; ) {
            spent += milliseconds(ours);
        }
    }

    /** Measures for so many seconds; five rounds at the least. */
    Result run(double seconds) {
        List<double[]> rounds = rounds(seconds);
        double[] a = rounds.stream().mapToDouble(r -> r[0]).toArray();
        double[] b = rounds.stream().mapToDouble(r -> r[1]).toArray();
        double[] ratios = rounds.stream().mapToDouble(r -> r[0] / r[1]).toArray();
        return new Result(name, median(a), median(b), median(ratios), limit);
    }

    private List<double[]> rounds(double seconds) {
        List<double[]> rounds = new ArrayList<>();
        double spent = 0;
        while (spent < 1000 * seconds || rounds.size() < FEWEST) {
            double[] round = {milliseconds(ours), milliseconds(reference)};
            spent += round[0] + round[1];
            rounds.add(round);
        }
        return rounds;
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
