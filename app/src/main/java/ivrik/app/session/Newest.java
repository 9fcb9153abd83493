package ivrik.app.session;

import ivrik.core.threads.Cancel;
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
 * Work off the interface thread of which only the newest counts: what was asked before is given up. To be
 * asked on the interface thread, which is told there. One processor is always left to that.
 */
public final class Newest {
    private static final Logger LOG = LoggerFactory.getLogger(Newest.class);
    private static final ExecutorService THREADS =
            Executors.newFixedThreadPool(
                    Math.max(1, Runtime.getRuntime().availableProcessors() - 1),
                    Threads.named("ivrik-work-"));

    private final AtomicLong asked = new AtomicLong();
    private volatile boolean busy;

    /**
     * @param work gives up with a {@link CancelledException} when it is told that it is no longer wanted
     * @param then told the result
     */
    public <T> void ask(Function<Cancel, T> work, Consumer<T> then) {
        long mine = asked.incrementAndGet();
        Cancel stale = () -> asked.get() != mine;
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
                        // something newer is being worked out, or what it reads has been closed
                        Platform.runLater(() -> failed(stale));
                    } catch (RuntimeException | Error e) {
                        LOG.error("work off the interface thread failed", e);
                        Platform.runLater(() -> failed(stale));
                    }
                });
    }

    private void failed(Cancel stale) {
        if (!stale.isCancelled()) {
            busy = false; // nothing more is to come
        }
    }

    /** Whether what was asked last is still to come. */
    public boolean isBusy() {
        return busy;
    }

    /** Nothing is wanted any more. */
    public void forget() {
        asked.incrementAndGet();
        busy = false;
    }
}
