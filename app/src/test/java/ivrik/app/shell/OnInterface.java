package ivrik.app.shell;

import ivrik.app.InterfaceThread;

import javafx.application.Platform;

import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;

/** Runs work on the interface thread and waits for conditions. */
abstract class OnInterface {
    /** Runs on the interface thread. */
    static <T> T on(Callable<T> work) {
        return InterfaceThread.on(work);
    }

    static void run(Runnable work) {
        InterfaceThread.run(work);
    }

    /** Waits until a condition holds on the interface thread. */
    static void until(String what, BooleanSupplier condition) {
        InterfaceThread.until(what, condition);
    }

    static void sleep(long ms) {
        try {
            Thread.sleep(ms);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Lets the window lay out and draw a few times. */
    static void pulses(int n) {
        for (int i = 0; i < n; i++) {
            CountDownLatch drawn = new CountDownLatch(1);
            Platform.runLater(
                    () ->
                            new javafx.animation.AnimationTimer() {
                                @Override
                                public void handle(long now) {
                                    stop();
                                    drawn.countDown();
                                }
                            }.start());
            try {
                drawn.await(2, TimeUnit.SECONDS);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
        }
    }
}
