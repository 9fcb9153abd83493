package ivrik.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Two tasks measured alternately, so that changes in machine speed affect both. The ratio is the median of
 * the ratios of adjacent runs.
 *
 * @param limit largest allowed ratio; NaN for none
 */
record Duel(String name, Runnable ours, Runnable reference, double limit) {
    private static final int FEWEST = 5;

    /** The measured times and ratio. */
    record Result(String name, double ivrikMs, double referenceMs, double ratio, double limit) {
        boolean isWithinLimit() {
            return !(ratio > limit);
        }
    }

    /** Whether the ratio has a limit. */
    boolean isLimited() {
        return !Double.isNaN(limit);
    }

    /** Runs Ivrik's task for some seconds until Java has compiled it, and the reference once. */
    void warmUp(double seconds) {
        reference.run();
        for (double spent = 0; spent < 1000 * seconds; ) {
            spent += milliseconds(ours);
        }
    }

    /** Measures for some seconds; at least five rounds. */
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
