package ivrik.core.threads;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.Set;
import java.util.concurrent.BrokenBarrierException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicIntegerArray;
import java.util.function.IntConsumer;

class WorkersTest {
    @Test
    @Timeout(20)
    void nestedWorkRunsOnceWithoutDeadlock() {
        try (Workers workers = new Workers(3)) {
            AtomicIntegerArray done = new AtomicIntegerArray(8 * 8 * 100);
            workers.parts(
                    8,
                    a ->
                            workers.parts(
                                    8,
                                    b ->
                                            workers.rows(
                                                    100,
                                                    (from, to) -> {
                                                        for (int y = from; y < to; y++) {
                                                            done.incrementAndGet(
                                                                    (a * 8 + b) * 100 + y);
                                                        }
                                                    })));
            for (int i = 0; i < done.length(); i++) {
                assertThat(done.get(i)).isEqualTo(1);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3})
    @Timeout(20)
    void everyRowRunsOnceWithPerThreadState(int threads) {
        AtomicInteger own = new AtomicInteger();
        AtomicIntegerArray done = new AtomicIntegerArray(1000);
        try (Workers workers = new Workers(threads)) {
            workers.eachRow(
                    1000,
                    () -> {
                        own.incrementAndGet();
                        Thread mine = Thread.currentThread();
                        return y -> {
                            assertThat(Thread.currentThread()).isSameAs(mine);
                            done.incrementAndGet(y);
                        };
                    });
        }
        assertThat(own.get()).isBetween(1, threads);
        for (int y = 0; y < 1000; y++) {
            assertThat(done.get(y)).isEqualTo(1);
        }
    }

    @Test
    @Timeout(20)
    void reservedThreadsDoNotHelp() {
        try (Workers workers = new Workers(2)) {
            Set<Thread> atWork = ConcurrentHashMap.newKeySet();
            IntConsumer part = number -> atWork.add(Thread.currentThread());
            Workers.leaving(
                    1,
                    () -> {
                        workers.parts(100, part);
                        return null;
                    });
            assertThat(atWork).containsExactly(Thread.currentThread());
            CyclicBarrier both = new CyclicBarrier(2);
            workers.parts(2, number -> met(both)); // with one thread this would wait forever
        }
    }

    private static void met(CyclicBarrier all) {
        try {
            all.await();
        } catch (InterruptedException | BrokenBarrierException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @Timeout(value = 20, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
    void finishedWorkDoesNotWaitForBusyHelpers() throws InterruptedException {
        try (Workers workers = new Workers(2)) {
            CountDownLatch busy = new CountDownLatch(2);
            CountDownLatch over = new CountDownLatch(1);
            Thread elsewhere =
                    Thread.ofVirtual()
                            .start(
                                    () ->
                                            workers.parts(
                                                    2,
                                                    part -> {
                                                        busy.countDown();
                                                        awaited(over);
                                                    }));
            busy.await();
            AtomicInteger done = new AtomicInteger();
            try {
                workers.parts(5, part -> done.incrementAndGet());
            } finally {
                over.countDown();
            }
            assertThat(done).hasValue(5);
            elsewhere.join();
        }
    }

    private static void awaited(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    @Timeout(20)
    void aFailureIsRethrownAndThePoolStaysUsable() {
        try (Workers workers = new Workers(3)) {
            assertThatThrownBy(
                            () ->
                                    workers.parts(
                                            6,
                                            a ->
                                                    workers.parts(
                                                            4,
                                                            b -> {
                                                                throw new IllegalStateException(
                                                                        "no");
                                                            })))
                    .hasMessage("no");
            AtomicIntegerArray done = new AtomicIntegerArray(6);
            workers.parts(6, done::incrementAndGet);
            for (int i = 0; i < 6; i++) {
                assertThat(done.get(i)).isEqualTo(1);
            }
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3})
    @Timeout(20)
    void cancelledWorkStartsNoBand(int threads) {
        AtomicInteger rows = new AtomicInteger();
        try (Workers workers = new Workers(threads)) {
            Cancellation enough = () -> rows.get() >= 64;
            assertThatThrownBy(
                            () ->
                                    enough.during(
                                            () -> {
                                                workers.rows(
                                                        3200,
                                                        (from, to) -> rows.addAndGet(to - from));
                                                return rows;
                                            }))
                    .isInstanceOf(CancelledException.class);
            assertThat(rows.get()).isBetween(64, 64 + 32 * (threads - 1));
            workers.rows(3200, (from, to) -> rows.addAndGet(to - from));
            assertThat(rows.get()).isGreaterThanOrEqualTo(3264);
        }
    }
}
