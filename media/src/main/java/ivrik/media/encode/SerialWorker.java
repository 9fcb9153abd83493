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
 * Runs tasks in order on its own thread while the caller prepares the next: encoding beside rendering. The
 * queue is bounded to limit memory. An error of a task is thrown to the caller, and later tasks are dropped.
 */
final class SerialWorker implements AutoCloseable {
    private static final int WAITING = 2;

    private final ExecutorService thread =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-encoder"));
    private final Deque<Future<?>> waiting = new ArrayDeque<>();

    /** Used only by the worker thread. */
    private boolean hasFailed;

    /** Adds a task; waits while the queue is full. */
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
     * Runs the caller's preparation. While tasks queue up it leaves one processor to them, because they would
     * otherwise be slower now and run alone later.
     */
    <T> T next(Supplier<T> making) {
        boolean isBehind = waiting.stream().filter(each -> !each.isDone()).count() > 1;
        return isBehind ? Workers.leaving(1, making) : making.get();
    }

    /** Waits until all tasks are done. */
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

    /** Waits until all tasks are done and ignores their errors. */
    @Override
    public void close() {
        thread.close();
    }
}
