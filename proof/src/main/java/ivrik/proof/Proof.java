package ivrik.proof;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Runs the trials in turn: {@code proof/run [--minutes N | --times K] [--only NAME] [--seed S]}. Prints
 * counts at the end, and every failure with the seed that repeats it and the folder that keeps its files.
 */
public final class Proof {
    private static final List<Trial> ALL =
            List.of(
                    new FileMutants(),
                    new MediaMutants(),
                    new UndoOracle(),
                    new Determinism(),
                    new GivenUp(),
                    new ExportKills(),
                    new WindowKills(),
                    new Traced(),
                    new Soak(),
                    new NativeMemory());

    private final Map<String, Integer> tried = new LinkedHashMap<>();
    private final List<String> failures = new ArrayList<>();
    private final Path kept;

    private Proof(Path kept) {
        this.kept = kept;
    }

    public static void main(String[] args) throws IOException {
        double minutes = 2;
        int times = Integer.MAX_VALUE;
        String only = "";
        long seed = 1;
        for (int i = 0; i + 1 < args.length; i += 2) {
            switch (args[i]) {
                case "--minutes" -> minutes = Double.parseDouble(args[i + 1]);
                case "--times" -> {
                    times = Integer.parseInt(args[i + 1]);
                    minutes = Double.POSITIVE_INFINITY;
                }
                case "--only" -> only = args[i + 1];
                case "--seed" -> seed = Long.parseLong(args[i + 1]);
                default -> throw new IllegalArgumentException("unknown: " + args[i]);
            }
        }
        Proof proof = new Proof(Files.createTempDirectory("ivrik-proof"));
        proof.run(only, seed, times, System.nanoTime() + minutes * 60e9);
        System.exit(proof.report());
    }

    /** A trial that has begun is brought to its end. */
    private void run(String only, long firstSeed, int times, double end) throws IOException {
        List<Trial> chosen =
                ALL.stream().filter(t -> only.isEmpty() || t.name().equals(only)).toList();
        if (chosen.isEmpty()) {
            throw new IllegalArgumentException(
                    "one of " + ALL.stream().map(Trial::name).toList() + ", not " + only);
        }
        for (int round = 0; round < times; round++) {
            for (Trial trial : chosen) {
                if (System.nanoTime() > end) {
                    return;
                }
                once(trial, firstSeed + round);
            }
        }
    }

    private void once(Trial trial, long seed) throws IOException {
        Path folder = Files.createDirectories(kept.resolve(trial.name() + "-" + seed));
        try {
            tried.merge(trial.name(), trial.run(seed, folder), Integer::sum);
            Trees.remove(folder);
        } catch (Exception | AssertionError e) {
            String failure =
                    trial.name() + " with --seed " + seed + ": " + e + "\n  kept in " + folder;
            failures.add(failure);
            System.out.println("FAILED " + failure);
        }
    }

    private int report() {
        tried.forEach((name, count) -> System.out.printf("%-16s %6d tried%n", name, count));
        System.out.println(
                failures.isEmpty() ? "no failure" : failures.size() + " failures, told above");
        return failures.isEmpty() ? 0 : 1;
    }
}
