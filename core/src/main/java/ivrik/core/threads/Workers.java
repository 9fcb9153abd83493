package ivrik.core.threads;

import ivrik.core.picture.Rows;

import java.util.Arrays;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.IntConsumer;
import java.util.function.Supplier;

/**
 * The fixed pool that picture work is spread over. Work comes as rows, cut into bands; which thread
 * takes which band never changes a result. The caller works too, so that one worker needs no thread.
 * Work that is asked for from within a band is done inside that band, so that no nesting can wait for
 * threads that wait for it. No band is begun of what {@link Cancel#during} says is no longer wanted.
 */
public final class Workers implements AutoCloseable {
    private static final int BAND_ROWS = 32;
    private static final Workers SHARED = new Workers(Runtime.getRuntime().availableProcessors());

    /** Whether this thread is at work on a band. */
    private static final ThreadLocal<Boolean> WITHIN = ThreadLocal.withInitial(() -> false);

    /** How many threads this one leaves to others. */
    private static final ScopedValue<Integer> LEFT = ScopedValue.newInstance();

    private final int threads;
    private final ExecutorService pool;

    /**
     * @param threads how many threads work at once, at least 1, the caller's among them
     */
    public Workers(int threads) {
        this.threads = Math.max(1, threads);
        this.pool =
                this.threads == 1
                        ? null
                        : Executors.newFixedThreadPool(
                                this.threads - 1, Threads.named("ivrik-worker-"));
    }

    /** The pool of this process, as many threads as there are cores. */
    public static Workers shared() {
        return SHARED;
    }

    /** Rows {@code from} (included) to {@code to} (excluded). */
    @FunctionalInterface
    public interface Rows {
        void run(int from, int to);
    }

    /**
     * Runs {@code rows} over 0..count and returns when all are done. The first failure of a band is
     * thrown here, after the bands under way have ended.
     */
    public void rows(int count, Rows rows) {
        bands(count, () -> rows);
    }

    /**
     * The same row by row, given up when it is no longer wanted. A thread keeps its work for all rows that it comes to,
     * with whatever scratch space that needs.
     *
     * @param work gives each thread its own, which is told the number of a row
     */
    public void eachRow(int count, Supplier<IntConsumer> work) {
        bands(
                count,
                () -> {
                    IntConsumer row = work.get();
                    return (from, to) -> {
                        for (int y = from; y < to; y++) {
                            Cancel.poll();
                            row.accept(y);
                        }
                    };
                });
    }

    private void bands(int count, Supplier<Rows> each) {
        int bands = (count + BAND_ROWS - 1) / BAND_ROWS;
        if (isAlone(bands) && !Cancel.CURRENT.isBound()) {
            each.get().run(0, count);
            return;
        }
        parts(
                bands,
                () -> {
                    Rows rows = each.get();
                    return band -> {
                        int from = band * BAND_ROWS;
                        rows.run(from, Math.min(count, from + BAND_ROWS));
                    };
                });
    }

    /**
     * Runs {@code part} for each of 0..count and returns when all are done; failures as above. A helper that comes to
     * it too late, as it is busy elsewhere, is not waited for.
     */
    public void parts(int count, IntConsumer part) {
        parts(count, () -> part);
    }

    private void parts(int count, Supplier<IntConsumer> each) {
        Cancel cancel = Cancel.CURRENT.orElse(Cancel.NEVER);
        if (isAlone(count)) {
            IntConsumer part = each.get();
            for (int i = 0; i < count; i++) {
                cancel.check();
                part.accept(i);
            }
            return;
        }
        Shares shares = new Shares(count, Math.min(threads(), count));
        AtomicReference<Throwable> failure = new AtomicReference<>();
        CountDownLatch done = new CountDownLatch(count);
        IntConsumer take =
                who -> {
                    WITHIN.set(true);
                    IntConsumer part = null;
                    for (int i = shares.next(who); i < count; i = shares.next(who)) {
                        try {
                            if (failure.get() == null) {
                                cancel.check();
                                part = part == null ? each.get() : part;
                                part.accept(i);
                            }
                        } catch (Throwable t) {
                            failure.compareAndSet(null, t);
                        } finally {
                            done.countDown();
                        }
                    }
                    WITHIN.set(false);
                };
        for (int i = 1; i < shares.next.length; i++) {
            int who = i;
            pool.execute(
                    () -> ScopedValue.where(Cancel.CURRENT, cancel).run(() -> take.accept(who)));
        }
        take.accept(0);
        await(done);
        switch (failure.get()) {
            case null -> {}
            case RuntimeException e -> throw e;
            case Error e -> throw e;
            case Throwable t -> throw new IllegalStateException(t);
        }
    }

    /**
     * Parts that each thread takes in order from a share of its own, so that what it has kept is of use for the next;
     * then what is left of the others' shares.
     */
    private record Shares(int count, AtomicInteger[] next) {
        Shares(int count, int shares) {
            this(count, new AtomicInteger[shares]);
            Arrays.setAll(next, k -> new AtomicInteger(begin(k)));
        }

        private int begin(int share) {
            return (int) ((long) count * share / next.length);
        }

        /** Of all, the number of the part to take next; {@code count} when none is left. */
        int next(int who) {
            for (int k = 0; k < next.length; k++) {
                int share = (who + k) % next.length;
                int part = next[share].getAndIncrement();
                if (part < begin(share + 1)) {
                    return part;
                }
            }
            return count;
        }
    }

    /**
     * Does work with so many threads fewer, but at least its own: those are left to who needs a processor for something
     * else meanwhile.
     */
    public static <T> T leaving(int threads, Supplier<T> work) {
        return ScopedValue.where(LEFT, threads).call(work::get);
    }

    private int threads() {
        return Math.max(1, threads - LEFT.orElse(0));
    }

    private boolean isAlone(int parts) {
        return threads() == 1 || parts < 2 || WITHIN.get();
    }

    private static void await(CountDownLatch done) {
        boolean interrupted = false;
        while (true) {
            try {
                done.await();
                break;
            } catch (InterruptedException e) {
                interrupted = true;
            }
        }
        if (interrupted) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        }
    }

    @Override
    public void close() {
        if (pool != null && this != SHARED) {
            pool.close();
        }
    }
}
