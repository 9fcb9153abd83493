package ivrik.core.threads;

import ivrik.core.picture.Rows;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.IntConsumer;

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
        int bands = (count + BAND_ROWS - 1) / BAND_ROWS;
        if (isAlone(bands) && !Cancel.CURRENT.isBound()) {
            rows.run(0, count);
            return;
        }
        parts(bands, band -> rows.run(band * BAND_ROWS, Math.min(count, (band + 1) * BAND_ROWS)));
    }

    /**
     * Runs {@code part} for each of 0..count and returns when all are done; failures as above. A helper that comes to
     * it too late, as it is busy elsewhere, is not waited for.
     */
    public void parts(int count, IntConsumer part) {
        Cancel cancel = Cancel.CURRENT.orElse(Cancel.NEVER);
        if (isAlone(count)) {
            for (int i = 0; i < count; i++) {
                cancel.check();
                part.accept(i);
            }
            return;
        }
        AtomicInteger next = new AtomicInteger();
        AtomicReference<Throwable> failure = new AtomicReference<>();
        CountDownLatch done = new CountDownLatch(count);
        Runnable take =
                () -> {
                    WITHIN.set(true);
                    for (int i = next.getAndIncrement(); i < count; i = next.getAndIncrement()) {
                        try {
                            if (failure.get() == null) {
                                cancel.check();
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
        for (int i = 1; i < Math.min(threads, count); i++) {
            pool.execute(() -> ScopedValue.where(Cancel.CURRENT, cancel).run(take));
        }
        take.run();
        await(done);
        switch (failure.get()) {
            case null -> {}
            case RuntimeException e -> throw e;
            case Error e -> throw e;
            case Throwable t -> throw new IllegalStateException(t);
        }
    }

    private boolean isAlone(int parts) {
        return pool == null || parts < 2 || WITHIN.get();
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
