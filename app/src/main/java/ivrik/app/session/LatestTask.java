package ivrik.app.session;

import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.application.Platform;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Function;

/**
 * Runs work off the interface thread; a new task cancels the previous one. Called from, and reporting on, the
 * interface thread. One processor is always left to that thread.
 */
public final class LatestTask {
    private static final Logger LOG = LoggerFactory.getLogger(LatestTask.class);
    private static final ExecutorService THREADS =
            Executors.newFixedThreadPool(
                    Math.max(1, Runtime.getRuntime().availableProcessors() - 1),
                    Threads.named("ivrik-work-"));

    private final AtomicLong asked = new AtomicLong();
    private volatile boolean busy;

    /**
     * @param work must stop with a {@link CancelledException} when cancelled
     * @param then receives the result
     */
    public <T> void ask(Function<Cancellation, T> work, Consumer<T> then) {
        long mine = asked.incrementAndGet();
        Cancellation stale = () -> asked.get() != mine;
        busy = true;
        THREADS.execute(
                () -> {
                    try {
                        T result = work.apply(stale);
                        Platform.runLater(
                                () -> {
                                    if (!stale.isCancelled()) {
                                        busy = false;
                                        then.accept(result);
                                    }
                                });
                    } catch (CancelledException e) {
                        // a newer task is running, or the input was closed
                        Platform.runLater(() -> failed(stale));
                    } catch (RuntimeException | Error e) {
                        LOG.error("work off the interface thread failed", e);
                        Platform.runLater(() -> failed(stale));
                    }
                });
    }

    private void failed(Cancellation stale) {
        if (!stale.isCancelled()) {
            busy = false; // no result follows
        }
    }

    /** Whether the latest task is running. */
    public boolean isBusy() {
        return busy;
    }

    /** Cancels the task. */
    public void forget() {
        asked.incrementAndGet();
        busy = false;
    }
}
