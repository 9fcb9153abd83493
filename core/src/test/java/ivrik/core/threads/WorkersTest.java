package ivrik.core.threads;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

import java.util.concurrent.atomic.AtomicIntegerArray;

class WorkersTest {
    @Test
    @Timeout(20)
    void workWithinWorkWithinWorkIsAllDoneOnceAndNothingWaitsForItself() {
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

    @Test
    @Timeout(20)
    void aFailureWithinComesOutAndLeavesThePoolUsable() {
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
}
