package ivrik.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import ivrik.app.InterfaceThread;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.CancelledException;

import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Function;

/** Work off the interface thread of which only the newest counts. */
class NewestTest {
    private final Newest work = new Newest();
    private final List<String> told = new CopyOnWriteArrayList<>();

    @BeforeEach
    void start() {
        InterfaceThread.start();
    }

    private void ask(Function<Cancel, String> make) {
        InterfaceThread.run(() -> work.ask(make, told::add));
    }

    @Test
    void onlyTheNewestIsTold() {
        ask(
                cancel -> {
                    while (true) {
                        cancel.check();
                    }
                });
        ask(cancel -> "second");
        InterfaceThread.until("it is over", () -> !work.isBusy());
        assertThat(told).containsExactly("second");
    }

    @ParameterizedTest
    @ValueSource(
            classes = {CancelledException.class, IllegalStateException.class, LinkageError.class})
    void workThatEndsWithoutAResultIsNotWaitedFor(Class<? extends Throwable> how) {
        ask(
                cancel -> {
                    throw sneaky(how);
                });
        InterfaceThread.until("it is over", () -> !work.isBusy());
        ask(cancel -> "next");
        InterfaceThread.until("it is over", () -> !work.isBusy());
        assertThat(told).containsExactly("next");
    }

    @SuppressWarnings("unchecked") // only unchecked ones are handed in
    private static <T extends Throwable> RuntimeException sneaky(Class<? extends Throwable> how)
            throws T {
        try {
            throw (T) how.getDeclaredConstructor().newInstance();
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
