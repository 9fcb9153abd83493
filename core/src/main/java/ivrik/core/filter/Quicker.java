package ivrik.core.filter;

import ivrik.core.threads.Threads;

import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;

/**
 * Which of two ways of the same work, equal to the bit, is taken: a plain loop, or one of vectors by hand.
 * Until Java has compiled it, the latter is hundreds of times slower, and where the processor lacks what it
 * needs it stays so. So the plain one is taken at first. When much has been done they race in a thread of
 * their own, until the vectors win and are taken from then on.
 */
final class Quicker {
    /** The plain loop for good, and vectors from the start. */
    static final Quicker PLAIN = new Quicker("none", Long.MAX_VALUE, () -> {}, () -> {});

    static final Quicker VECTORS = won();

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
     * @param enough so much work by the plain loop is worth a race
     * @param plain a little of the work by the plain loop, about a tenth of a millisecond
     * @param vectors the same by vectors
     */
    Quicker(String name, long enough, Runnable plain, Runnable vectors) {
        this.name = name;
        this.enough = enough;
        this.plain = plain;
        this.vectors = vectors;
    }

    private static Quicker won() {
        Quicker quicker = new Quicker("none", 0, () -> {}, () -> {});
        quicker.won = true;
        return quicker;
    }

    /** Whether vectors are to be taken for so much work that comes now. */
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

    /** One win may be chance, as on a busy machine; after a loss Java has a while to compile. */
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
