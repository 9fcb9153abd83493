package ivrik.proof;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Stream;

/**
 * Runs the trials: {@code proof/run [--minutes N | --times K] [--only NAME] [--seed S]}. Short runs execute
 * them in turn. Long runs execute four groups in parallel: mutants, killed exports with laws of rendering
 * between them, killed windows, and one soak test. Prints counts at the end, and every failure with its seed
 * and the folder of its files.
 */
public final class Proof {
    /** Minutes from which a run is long. */
    private static final double LONG = 10;

    private static final Duration SO_FAR = Duration.ofMinutes(5);
    private static final int LONG_HAND_MS = 10_000;
    private static final int SHORT_HAND_MS = 5000;
    private static final int SHORT_SOAK_S = 20;
    private static final int LONG_MUTANTS = 500;
    private static final int SHORT_MUTANTS = 100;
    private static final int LONG_EDITS = 5000;
    private static final int SHORT_EDITS = 300;

    /** Killed exports between other trials. */
    private static final int EXPORTS_IN_A_ROW = 24;

    private final Map<String, Integer> tried = new ConcurrentSkipListMap<>();
    private final List<String> failures = new CopyOnWriteArrayList<>();
    private final Path kept;
    private final double minutes;
    private volatile long end;
    private final long firstSeed;

    private Proof(Path kept, double minutes, long firstSeed) {
        this.kept = kept;
        this.minutes = minutes;
        this.firstSeed = firstSeed;
    }

    public static void main(String[] args) throws Exception {
        double minutes = 2;
        int times = 0;
        String only = "";
        long seed = 1;
        for (int i = 0; i + 1 < args.length; i += 2) {
            switch (args[i]) {
                case "--minutes" -> minutes = Double.parseDouble(args[i + 1]);
                case "--times" -> times = Integer.parseInt(args[i + 1]);
                case "--only" -> only = args[i + 1];
                case "--seed" -> seed = Long.parseLong(args[i + 1]);
                default -> throw new IllegalArgumentException("unknown: " + args[i]);
            }
        }
        boolean beside = times == 0 && only.isEmpty() && minutes >= LONG;
        long seconds = beside ? Math.round(minutes * 60) : SHORT_SOAK_S;
        SystemCalls graphed = new SystemCalls();
        List<Trial> mutants =
                List.of(
                        new FileMutants(beside ? LONG_MUTANTS : SHORT_MUTANTS),
                        new MediaMutants(beside ? LONG_MUTANTS : SHORT_MUTANTS));
        List<Trial> laws =
                List.of(
                        new UndoOracle(beside ? LONG_EDITS : SHORT_EDITS),
                        new Determinism(),
                        new VectorLengths(),
                        new CancelledRendering());
        List<Trial> exports = List.of(new ExportKills());
        List<Trial> windows = List.of(new WindowKills(beside ? LONG_HAND_MS : SHORT_HAND_MS));
        Soak soak = new Soak(seconds);

        Proof proof = new Proof(Files.createTempDirectory("ivrik-proof"), minutes, seed);
        proof.begin();
        if (beside) {
            proof.once(graphed, seed);
            proof.begin();
            List<Trial> exportsAndLaws = new ArrayList<>(laws);
            exportsAndLaws.addAll(Collections.nCopies(EXPORTS_IN_A_ROW, exports.getFirst()));
            proof.beside(mutants, exportsAndLaws, windows, List.of(soak));
        } else {
            // valgrind takes minutes: only on request
            boolean watched = times > 0 || !only.isEmpty();
            List<Trial> last = watched ? List.of(soak, new NativeMemory()) : List.of(soak);
            Stream<Trial> all =
                    Stream.of(List.of(graphed), mutants, laws, exports, windows, last)
                            .flatMap(List::stream);
            proof.inTurn(all.toList(), only, times);
        }
        System.exit(proof.report());
    }

    private void begin() {
        end = System.nanoTime() + (long) (minutes * 60e9);
    }

    private void inTurn(List<Trial> all, String only, int times) {
        List<Trial> chosen =
                all.stream().filter(t -> only.isEmpty() || t.name().equals(only)).toList();
        if (chosen.isEmpty()) {
            throw new IllegalArgumentException(
                    "one of " + all.stream().map(Trial::name).toList() + ", not " + only);
        }
        for (int round = 0; times == 0 || round < times; round++) {
            for (Trial trial : chosen) {
                if (times == 0 && System.nanoTime() > end) {
                    return;
                }
                once(trial, firstSeed + round);
            }
        }
    }

    @SafeVarargs
    private void beside(List<Trial>... hands) throws InterruptedException {
        List<Thread> threads = new ArrayList<>();
        for (List<Trial> trials : hands) {
            threads.add(Thread.ofPlatform().start(() -> untilTheEnd(trials)));
        }
        for (Thread thread : threads) {
            while (!thread.join(SO_FAR)) {
                System.out.println("so far: " + tried);
            }
        }
    }

    /** Runs trials that have started to their end. */
    private void untilTheEnd(List<Trial> trials) {
        for (long seed = firstSeed; System.nanoTime() < end; seed++) {
            for (Trial trial : trials) {
                if (System.nanoTime() < end) {
                    once(trial, seed);
                    seed++;
                }
            }
        }
    }

    private void once(Trial trial, long seed) {
        Path folder = kept.resolve(trial.name() + "-" + seed);
        try {
            Files.createDirectories(folder);
            tried.merge(trial.name(), trial.run(seed, folder), Integer::sum);
            Folders.remove(folder);
        } catch (Exception | AssertionError e) {
            String failure =
                    trial.name() + " with --seed " + seed + ": " + e + "\n  files in " + folder;
            failures.add(failure);
            System.out.println("FAILED " + failure);
        }
    }

    private int report() {
        tried.forEach((name, count) -> System.out.printf("%-16s %6d tried%n", name, count));
        System.out.println(
                failures.isEmpty() ? "no failure" : failures.size() + " failures, listed above");
        return failures.isEmpty() ? 0 : 1;
    }
}
