package ivrik.core.filter;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

class ScalarOrVectorTest {
    @Test
    void slowerVectorsAreNotUsed() throws Exception {
        CountDownLatch vectorsRan = new CountDownLatch(1);
        AtomicInteger races = new AtomicInteger();
        ScalarOrVector quicker =
                new ScalarOrVector(
                        "test",
                        100,
                        races::incrementAndGet,
                        () -> {
                            vectorsRan.countDown();
                            LockSupport.parkNanos(
                                    20_000_000); // delays this candidate, so that it never wins
                        });
        assertThat(quicker.takesVectors(60)).isFalse();
        assertThat(races).as("not enough work done").hasValue(0);
        assertThat(quicker.takesVectors(60)).isFalse();
        vectorsRan.await();
        assertThat(quicker.takesVectors(60)).as("slower").isFalse();
    }

    @Test
    void fasterVectorsAreUsed() {
        ScalarOrVector quicker =
                new ScalarOrVector("won", 1, () -> LockSupport.parkNanos(100_000), () -> {});
        assertThat(quicker.takesVectors(1)).isFalse();
        long end = System.nanoTime() + 60_000_000_000L;
        while (!quicker.takesVectors(1) && System.nanoTime() < end) {
            LockSupport.parkNanos(1_000_000);
        }
        assertThat(quicker.takesVectors(1)).isTrue();
    }
}
