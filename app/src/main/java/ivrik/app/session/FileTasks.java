package ivrik.app.session;

import ivrik.core.IvrikException;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import java.util.function.Supplier;

/**
 * Runs file operations in order on its own thread; called from, and reporting on, the interface thread. Every
 * exception is reported.
 */
public final class FileTasks implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(FileTasks.class);

    private final Executor interfaceThread;
    private final ExecutorService files;
    private int busy;

    /**
     * @param name name of the thread
     * @param interfaceThread executes reports
     */
    public FileTasks(String name, Executor interfaceThread) {
        this.interfaceThread = interfaceThread;
        this.files =
                Executors.newSingleThreadExecutor(
                        Thread.ofPlatform().name(name).daemon().factory());
    }

    /** Whether results are pending. */
    public boolean isBusy() {
        return busy > 0;
    }

    /**
     * @param then receives the result
     * @param fault receives the error
     */
    public <T> void run(Supplier<T> work, Consumer<T> then, Consumer<IvrikException> fault) {
        busy++;
        files.execute(
                () -> {
                    Runnable end;
                    try {
                        T made = work.get();
                        end = () -> then.accept(made);
                    } catch (RuntimeException | Error e) {
                        LOG.warn("work on a file failed", e);
                        end = () -> fault.accept(UnforeseenException.wrap(e));
                    }
                    Runnable reported = end;
                    interfaceThread.execute(
                            () -> {
                                busy--;
                                reported.run();
                            });
                });
    }

    /** Finishes submitted tasks. */
    @Override
    public void close() {
        files.shutdown();
    }
}
