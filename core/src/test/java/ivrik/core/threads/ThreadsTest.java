package ivrik.core.threads;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ThreadFactory;

class ThreadsTest {
    @AfterEach
    void asBefore() {
        Threads.beginWith(() -> {});
    }

    @Test
    void threadsRunTheirStartActionFirst() throws InterruptedException {
        Queue<String> done = new ConcurrentLinkedQueue<>();
        Threads.beginWith(() -> done.add("first on " + Thread.currentThread().getName()));
        CountDownLatch ended = new CountDownLatch(1);
        Threads.start(
                "ivrik-trial",
                () -> {
                    done.add("work on " + Thread.currentThread().getName());
                    ended.countDown();
                });
        ended.await();
        assertThat(done).containsExactly("first on ivrik-trial", "work on ivrik-trial");
    }

    @Test
    void threadsAreNumberedDaemons() {
        ThreadFactory several = Threads.named("ivrik-several-");
        List<Thread> threads = List.of(several.newThread(() -> {}), several.newThread(() -> {}));
        assertThat(threads)
                .extracting(Thread::getName)
                .containsExactly("ivrik-several-0", "ivrik-several-1");
        assertThat(threads).allMatch(Thread::isDaemon);
    }
}
