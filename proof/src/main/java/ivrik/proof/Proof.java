package ivrik.proof;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.stream.Stream;

/**
 * Runs the trials: {@code proof/run [--minutes N | --times K] [--only NAME] [--seed S]}. For so many minutes
 * three go on beside each other: reading and rendering, killing, and one long soak, after one look at the calls
 * of the system; so many times each goes in turn. Prints counts at the end, and every failure with the seed that repeats it and the folder that
 * keeps its files.
 */
public final class Proof {
    /** Killed exports take a few seconds, killed windows many. */
    private static final int EXPORTS_A_WINDOW = 4;

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
        long seconds = Math.max(15, Math.round(minutes * 60) - 20);
        List<Trial> read =
                List.of(
                        new FileMutants(),
                        new MediaMutants(),
                        new UndoOracle(),
                        new Determinism(),
                        new GivenUp());
        List<Trial> killed =
                new ArrayList<>(Collections.nCopies(EXPORTS_A_WINDOW, new ExportKills()));
        killed.add(new WindowKills(Math.clamp(seconds * 50, 3000, 20_000)));
        List<Trial> soaked = List.of(new Soak(times > 0 ? 60 : seconds));
        List<Trial> watched = List.of(new Traced(), new NativeMemory());

        Proof proof = new Proof(Files.createTempDirectory("ivrik-proof"), minutes, seed);
        if (times > 0 || !only.isEmpty()) {
            proof.begin();
            proof.inTurn(
                    Stream.of(read, killed, soaked, watched).flatMap(List::stream), only, times);
        } else {
            proof.once(watched.getFirst(), seed);
            proof.begin();
            proof.beside(read, killed, soaked);
        }
        System.exit(proof.report());
    }

    private void begin() {
        end = System.nanoTime() + (long) (minutes * 60e9);
    }

    private void inTurn(Stream<Trial> all, String only, int times) throws IOException {
        List<Trial> chosen =
                all.distinct().filter(t -> only.isEmpty() || t.name().equals(only)).toList();
        if (chosen.isEmpty()) {
            throw new IllegalArgumentException("there is no trial " + only);
        }
        for (int round = 0; times > 0 ? round < times : System.nanoTime() < end; round++) {
            for (Trial trial : chosen) {
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
            thread.join();
        }
    }

    /** What has begun is brought to its end. */
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
