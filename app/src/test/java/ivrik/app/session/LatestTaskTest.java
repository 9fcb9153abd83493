package ivrik.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.InterfaceThread;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Function;

/** Only the latest result of several background tasks is used. */
class LatestTaskTest {
    private final LatestTask work = new LatestTask();
    private final List<String> reported = new CopyOnWriteArrayList<>();

    @BeforeEach
    void start() {
        InterfaceThread.start();
    }

    private void ask(Function<Cancellation, String> make) {
        InterfaceThread.run(() -> work.ask(make, reported::add));
    }

    @Test
    void onlyTheLatestResultIsReported() {
        ask(
                cancel -> {
                    while (true) {
                        cancel.check();
                    }
                });
        ask(cancel -> "second");
        InterfaceThread.until("the work has ended", () -> !work.isBusy());
        assertThat(reported).containsExactly("second");
    }

    @ParameterizedTest
    @ValueSource(
            classes = {CancelledException.class, IllegalStateException.class, LinkageError.class})
    void aTaskWithoutAResultEndsTheWait(Class<? extends Throwable> how) {
        ask(
                cancel -> {
                    throw sneaky(how);
                });
        InterfaceThread.until("the work has ended", () -> !work.isBusy());
        ask(cancel -> "next");
        InterfaceThread.until("the work has ended", () -> !work.isBusy());
        assertThat(reported).containsExactly("next");
    }

    @SuppressWarnings("unchecked") // the tasks throw unchecked exceptions only
    private static <T extends Throwable> RuntimeException sneaky(Class<? extends Throwable> how)
            throws T {
        try {
            throw (T) how.getDeclaredConstructor().newInstance();
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
