package ivrik.core.filter;

import ivrik.core.threads.Threads;

import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;

/**
 * Decides between two implementations with bit-identical results: a plain loop and Vector API code. Until
 * Java has compiled it, the vector code is hundreds of times slower; on processors without the required
 * instructions it stays slow. The plain loop is therefore used at first. After enough work a background
 * thread benchmarks both; once the vector code wins, it is used.
 */
final class ScalarOrVector {
    /** Fixed choices: always the plain loop, always the vector code. */
    static final ScalarOrVector PLAIN =
            new ScalarOrVector("none", Long.MAX_VALUE, () -> {}, () -> {});

    static final ScalarOrVector VECTORS = won();

    private static final int ROUNDS = 1000;
    private static final long PAUSE_NS = 20_000_000;
    private static final int WINS = 3;

    private final String name;
    private final long enough;
    private final Runnable plain;
    private final Runnable vectors;
    private final AtomicLong done = new AtomicLong();
    private volatile boolean won;

    /**
     * @param enough amount of plain work after which a benchmark pays off
     * @param plain a small piece of work by the plain loop, about a tenth of a millisecond
     * @param vectors the same work by the vector code
     */
    ScalarOrVector(String name, long enough, Runnable plain, Runnable vectors) {
        this.name = name;
        this.enough = enough;
        this.plain = plain;
        this.vectors = vectors;
    }

    private static ScalarOrVector won() {
        ScalarOrVector quicker = new ScalarOrVector("none", 0, () -> {}, () -> {});
        quicker.won = true;
        return quicker;
    }

    /** Whether to use the vector code for the given amount of work. */
    boolean takesVectors(long work) {
        if (won) {
            return true;
        }
        long before = done.getAndAdd(work);
        if (before < enough && before + work >= enough) {
            Threads.start("ivrik-race-" + name, this::race);
        }
        return false;
    }

    /** One win may be chance on a busy machine; after a loss Java gets more time to compile. */
    private void race() {
        int wins = 0;
        for (int i = 0; i < ROUNDS && wins < WINS; i++) {
            if (wins == 0) {
                LockSupport.parkNanos(PAUSE_NS);
            }
            long began = System.nanoTime();
            plain.run();
            long between = System.nanoTime();
            vectors.run();
            wins = System.nanoTime() - between < between - began ? wins + 1 : 0;
        }
        won = wins == WINS;
    }
}
