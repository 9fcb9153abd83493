package ivrik.media.encode;

import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Supplier;

/**
 * Work done in turn by a thread of its own while the caller makes the next: encoding beside rendering. No
 * more than a few wait, so that memory is bounded; a fault of the work is the caller's, and nothing is done after it.
 */
final class Together implements AutoCloseable {
    private static final int WAITING = 2;

    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-encoder"));
    private final Deque<Future<?>> waiting = new ArrayDeque<>();

    /** Seen by the thread alone. */
    private boolean hasFailed;

    /** Does this after all before it; waits if too much is waiting. */
    void then(Runnable work) {
        while (waiting.size() >= WAITING) {
            awaitOldest();
        }
        waiting.add(thread.submit(() -> attempt(work)));
    }

    private void attempt(Runnable work) {
        if (hasFailed) {
            return;
        }
        try {
            work.run();
        } catch (RuntimeException | Error e) {
            hasFailed = true;
            throw e;
        }
    }

    /**
     * Makes the next. While more waits than what is being done it leaves that a processor of its own: with all taken, it
     * would be done more slowly now and by itself afterwards.
     */
    <T> T next(Supplier<T> making) {
        boolean isBehind = waiting.stream().filter(each -> !each.isDone()).count() > 1;
        return isBehind ? Workers.leaving(1, making) : making.get();
    }

    /** Waits until all is done. */
    void await() {
        while (!waiting.isEmpty()) {
            awaitOldest();
        }
    }

    private void awaitOldest() {
        try {
            waiting.remove().get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        } catch (ExecutionException e) {
            switch (e.getCause()) {
                case RuntimeException fault -> throw fault;
                case Error fault -> throw fault;
                default -> throw new IllegalStateException(e.getCause());
            }
        }
    }

    /** Waits until all is done, but not for its faults. */
    @Override
    public void close() {
        thread.close();
    }
}
