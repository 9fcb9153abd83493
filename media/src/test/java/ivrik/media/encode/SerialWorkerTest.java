package ivrik.media.encode;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.threads.Workers;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.CyclicBarrier;

@Timeout(value = 20, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
class SerialWorkerTest {
    @Test
    void tasksRunInOrderAndCompletelyBeforeTheWaitEnds() {
        List<Integer> done = new ArrayList<>();
        try (SerialWorker together = new SerialWorker()) {
            for (int i = 0; i < 9; i++) {
                int number = i;
                together.then(() -> done.add(number));
            }
            together.await();
            assertThat(done).containsExactly(0, 1, 2, 3, 4, 5, 6, 7, 8);
        }
    }

    @Test
    void aFaultIsRethrownToTheCaller() {
        try (SerialWorker together = new SerialWorker()) {
            together.then(
                    () -> {
                        throw new IllegalArgumentException("no");
                    });
            assertThatThrownBy(together::await).hasMessage("no");
        }
    }

    @Test
    void nothingRunsAfterAFault() {
        List<Integer> done = new ArrayList<>();
        CountDownLatch mayGoOn = new CountDownLatch(1);
        try (SerialWorker together = new SerialWorker()) {
            together.then(
                    () -> {
                        awaited(mayGoOn);
                        throw new IllegalArgumentException("no");
                    });
            together.then(() -> done.add(1));
            mayGoOn.countDown();
        }
        assertThat(done).isEmpty();
    }

    @Test
    void submittedTasksRunDespiteCancellation() {
        List<Integer> done = new ArrayList<>();
        CountDownLatch mayGoOn = new CountDownLatch(1);
        try (SerialWorker together = new SerialWorker()) {
            together.then(() -> awaited(mayGoOn));
            together.then(() -> done.add(1));
            mayGoOn.countDown();
        }
        assertThat(done).containsExactly(1);
    }

    @Test
    void aLateEncoderGetsItsOwnProcessor() {
        CountDownLatch mayGoOn = new CountDownLatch(1);
        try (Workers workers = new Workers(2);
                SerialWorker together = new SerialWorker()) {
            together.next(() -> atOnce(workers));
            together.then(() -> awaited(mayGoOn));
            together.next(() -> atOnce(workers)); // one task runs, none waits
            together.then(() -> {});
            Set<Thread> atWork = ConcurrentHashMap.newKeySet();
            together.next(
                    () -> {
                        workers.parts(100, part -> atWork.add(Thread.currentThread()));
                        return null;
                    });
            assertThat(atWork).containsExactly(Thread.currentThread());
            mayGoOn.countDown();
            together.await();
            together.next(() -> atOnce(workers));
        }
    }

    /** Runs two tasks that wait for each other. */
    private static Void atOnce(Workers workers) {
        CyclicBarrier both = new CyclicBarrier(2);
        workers.parts(
                2,
                part -> {
                    try {
                        both.await();
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                });
        return null;
    }

    private static void awaited(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
