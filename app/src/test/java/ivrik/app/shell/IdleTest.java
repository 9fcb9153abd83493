package ivrik.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicLong;

class IdleTest {
    private final AtomicLong now = new AtomicLong(7);
    private final Idle idle = new Idle(Duration.ofNanos(100), now::get);

    @Test
    void idleWorkStartsOncePerIdlePeriod() {
        now.addAndGet(99);
        assertThat(idle.begins()).isFalse();
        now.addAndGet(1);
        assertThat(idle.begins()).isTrue();
        now.addAndGet(500);
        assertThat(idle.begins()).as("the work started before").isFalse();
        idle.wanted();
        assertThat(idle.begins()).isFalse();
        now.addAndGet(60);
        idle.wanted();
        now.addAndGet(60);
        assertThat(idle.begins()).isFalse();
        now.addAndGet(40);
        assertThat(idle.begins()).isTrue();
    }
}
