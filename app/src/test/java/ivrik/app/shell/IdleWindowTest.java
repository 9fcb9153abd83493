package ivrik.app.shell;

import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.mockingDetails;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import ivrik.app.picture.PictureService;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;

/** Caches are released after idle time, measured by a clock that the test sets. */
class IdleWindowTest extends InAWindow {
    private static final Duration REST = Duration.ofMinutes(3);

    private final PictureService service = mock(PictureService.class);
    private final AtomicLong now = new AtomicLong();
    private PeriodicChecks watch;

    @BeforeEach
    void watch() {
        MainWindow w = d.window;
        Idle idle = new Idle(REST, now::get);
        watch =
                Driver.on(
                        () ->
                                new PeriodicChecks(
                                        w.session(),
                                        w.view(),
                                        service,
                                        w.time(),
                                        () -> {},
                                        w::isSettled,
                                        idle));
    }

    @AfterEach
    void stop() {
        Driver.run(watch::stop);
    }

    /** Waits for a number of further checks. */
    private void looks(int times) {
        long before = looks();
        Driver.until("the check runs", () -> looks() >= before + times);
    }

    private long looks() {
        return mockingDetails(service).getInvocations().stream()
                .filter(i -> i.getMethod().getName().equals("closeOthers"))
                .count();
    }

    @Test
    void cachesAreReleasedAfterIdleTimeOnly() {
        looks(3);
        verify(service, never()).release();
        now.set(REST.toNanos() - 1);
        Driver.run(() -> d.window.view().frame.set(1));
        now.set(REST.toNanos() + 5);
        looks(3);
        verify(service, never()).release();
        now.set(2 * REST.toNanos());
        looks(3);
        verify(service, atLeastOnce()).release();
    }
}
