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
 * Fixed thread pool for picture work. Work consists of rows that are cut into bands; the result never depends
 * on which thread takes which band. The calling thread works too, so that a pool of one worker needs no
 * thread. Work that is requested from within a band runs inside that band, so that nested work cannot
 * deadlock. No band starts once {@link Cancellation#during} is cancelled.
 */
public final class Workers implements AutoCloseable {
    private static final int BAND_ROWS = 32;
    private static final Workers SHARED = new Workers(Runtime.getRuntime().availableProcessors());

    /** Whether this thread is working on a band. */
    private static final ThreadLocal<Boolean> WITHIN = ThreadLocal.withInitial(() -> false);

    /** Number of threads that the current work leaves free. */
    private static final ScopedValue<Integer> LEFT = ScopedValue.newInstance();

    private final int threads;
    private final ExecutorService pool;

    /**
     * @param threads number of threads that work at the same time, at least 1, including the caller
     */
    public Workers(int threads) {
        this.threads = Math.max(1, threads);
        this.pool =
                this.threads == 1
                        ? null
                        : Executors.newFixedThreadPool(
                                this.threads - 1, Threads.named("ivrik-worker-"));
    }

    /** The pool of this process, with one thread per core. */
    public static Workers shared() {
        return SHARED;
    }

    /** Processes rows {@code from} (included) to {@code to} (excluded). */
    @FunctionalInterface
    public interface Rows {
        void run(int from, int to);
    }

    /**
     * Runs {@code rows} over 0..count and returns when all bands are done. The first failure is rethrown
     * after running bands have ended.
     */
    public void rows(int count, Rows rows) {
        bands(count, () -> rows);
    }

    /**
     * Runs work for each row and polls for cancellation.
     *
     * @param work creates the work object of a thread, with its own scratch memory; receives row numbers
     */
    public void eachRow(int count, Supplier<IntConsumer> work) {
        bands(
                count,
                () -> {
                    IntConsumer row = work.get();
                    return (from, to) -> {
                        for (int y = from; y < to; y++) {
                            Cancellation.poll();
                            row.accept(y);
                        }
                    };
                });
    }

    private void bands(int count, Supplier<Rows> each) {
        int bands = (count + BAND_ROWS - 1) / BAND_ROWS;
        if (isAlone(bands) && !Cancellation.CURRENT.isBound()) {
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
     * Runs {@code part} for each of 0..count and returns when all are done; failures as in {@link #rows}.
     * Does not wait for helpers that have not started.
     */
    public void parts(int count, IntConsumer part) {
        parts(count, () -> part);
    }

    private void parts(int count, Supplier<IntConsumer> each) {
        Cancellation cancel = Cancellation.CURRENT.orElse(Cancellation.NEVER);
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
                    () ->
                            ScopedValue.where(Cancellation.CURRENT, cancel)
                                    .run(() -> take.accept(who)));
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
     * Distribution of parts in which each thread takes consecutive parts from its own share, to reuse what it
     * has cached, and then takes from the shares of others.
     */
    private record Shares(int count, AtomicInteger[] next) {
        Shares(int count, int shares) {
            this(count, new AtomicInteger[shares]);
            Arrays.setAll(next, k -> new AtomicInteger(begin(k)));
        }

        private int begin(int share) {
            return (int) ((long) count * share / next.length);
        }

        /** The next part for a thread; {@code count} when none is left. */
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
     * Runs work with fewer threads, at least one, so that cores stay free for other work.
     *
     * @param threads number of threads to leave free
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
