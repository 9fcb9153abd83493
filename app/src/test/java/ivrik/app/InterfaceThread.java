package ivrik.app;

import ivrik.app.theme.Fonts;

import javafx.application.Platform;

import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;

/** The JavaFX application thread, for tests. */
public final class InterfaceThread {
    private static final long PATIENCE_S = 90;
    private static boolean started;

    private InterfaceThread() {}

    /** Starts JavaFX, once. */
    public static synchronized void start() {
        if (!started) {
            started = true;
            CountDownLatch ready = new CountDownLatch(1);
            Platform.startup(
                    () -> {
                        Platform.setImplicitExit(false);
                        Fonts.load();
                        ready.countDown();
                    });
            try {
                if (!ready.await(PATIENCE_S, TimeUnit.SECONDS)) {
                    throw new IllegalStateException("JavaFX did not start");
                }
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    /** Runs on the interface thread. */
    public static <T> T on(Callable<T> work) {
        FutureTask<T> task = new FutureTask<>(work);
        if (Platform.isFxApplicationThread()) {
            task.run();
        } else {
            Platform.runLater(task);
        }
        try {
            return task.get(PATIENCE_S, TimeUnit.SECONDS);
        } catch (Exception e) {
            throw new IllegalStateException(e.getCause() == null ? e : e.getCause());
        }
    }

    public static void run(Runnable work) {
        on(
                () -> {
                    work.run();
                    return null;
                });
    }

    /** Waits until a condition holds on the interface thread. */
    public static void until(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(PATIENCE_S);
        while (!on(condition::getAsBoolean)) {
            if (System.nanoTime() > end) {
                throw new AssertionError("waited in vain until " + what);
            }
            LockSupport.parkNanos(10_000_000);
        }
    }
}
