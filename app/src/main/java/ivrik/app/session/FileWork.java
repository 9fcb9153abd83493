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
 * Work with files, one after the other in a thread of its own; what comes of each is told on the interface
 * thread, where it is asked for too. Whatever goes wrong is told, foreseen or not.
 */
public final class FileWork implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(FileWork.class);

    private final Executor interfaceThread;
    private final ExecutorService files;
    private int busy;

    /**
     * @param name of its thread
     * @param interfaceThread runs what is told
     */
    public FileWork(String name, Executor interfaceThread) {
        this.interfaceThread = interfaceThread;
        this.files =
                Executors.newSingleThreadExecutor(
                        Thread.ofPlatform().name(name).daemon().factory());
    }

    /** Whether anything has not been told yet. */
    public boolean isBusy() {
        return busy > 0;
    }

    /**
     * @param then told what the work has made
     * @param fault told why it has not
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
                        end = () -> fault.accept(UnforeseenException.told(e));
                    }
                    Runnable told = end;
                    interfaceThread.execute(
                            () -> {
                                busy--;
                                told.run();
                            });
                });
    }

    /** What was asked for is still done. */
    @Override
    public void close() {
        files.shutdown();
    }
}
