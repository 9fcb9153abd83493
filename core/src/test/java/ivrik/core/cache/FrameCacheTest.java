package ivrik.core.cache;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.CancelledException;

import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;

class FrameCacheTest {
    private static final long PLANE_BYTES = 4L * 64 * 64;

    private static Plane plane() {
        return Plane.flat(64, 64, 0.5f);
    }

    @Test
    void keysAreEqualWhenTheirPartsAreEqual() {
        CacheKey a = CacheKey.of("picture").then(1).then("blur");
        assertThat(a).isEqualTo(CacheKey.of("picture").then(1).then("blur"));
        assertThat(a.hashCode()).isEqualTo(CacheKey.of("picture").then(1).then("blur").hashCode());
        assertThat(a)
                .isNotEqualTo(CacheKey.of("picture").then("blur").then(1))
                .isNotEqualTo(CacheKey.of("picture").then(1))
                .isNotEqualTo(CacheKey.of("another").then(1).then("blur"));
    }

    @Test
    void cachedResultsAreComputedOnce() {
        FrameCache cache = new FrameCache(1 << 20);
        AtomicInteger made = new AtomicInteger();
        for (int i = 0; i < 3; i++) {
            Plane plane =
                    cache.get(
                            CacheKey.of("p"),
                            () -> {
                                made.incrementAndGet();
                                return plane();
                            });
            assertThat(plane.at(3, 3)).isEqualTo(0.5f);
        }
        assertThat(made.get()).isEqualTo(1);
        assertThat(cache.holds(CacheKey.of("p"))).isTrue();
        assertThat(cache.holds(CacheKey.of("q"))).isFalse();
    }

    @Test
    void evictedResultsAreRecomputedAndPinnedOnesStay() {
        FrameCache cache = new FrameCache(1 << 20);
        cache.get(CacheKey.of("p"), FrameCacheTest::plane);
        cache.reserve(1000);
        assertThat(cache.held()).isGreaterThan(PLANE_BYTES);
        cache.release();
        assertThat(cache.holds(CacheKey.of("p"))).isFalse();
        assertThat(cache.held()).isEqualTo(1000);
        cache.get(CacheKey.of("p"), FrameCacheTest::plane);
        assertThat(cache.holds(CacheKey.of("p"))).isTrue();
    }

    @Test
    void aSharedArrayCountsOnce() {
        Plane one = plane();
        assertThat(FrameCache.bytes(Frame.opaque(one, one, one)))
                .isBetween(PLANE_BYTES, PLANE_BYTES + 1000);
        assertThat(FrameCache.bytes(Frame.opaque(one, plane(), plane())))
                .isBetween(3 * PLANE_BYTES, 3 * PLANE_BYTES + 1000);
    }

    @Test
    void theCacheStaysWithinItsBudget() {
        FrameCache cache = new FrameCache(10 * PLANE_BYTES);
        for (int i = 0; i < 50; i++) {
            cache.get(CacheKey.of(i), FrameCacheTest::plane);
        }
        assertThat(cache.held()).isBetween(5 * PLANE_BYTES, 10 * PLANE_BYTES);
        cache.reserve(8 * PLANE_BYTES);
        assertThat(cache.held()).isLessThanOrEqualTo(10 * PLANE_BYTES);
        long kept =
                java.util.stream.IntStream.range(0, 50)
                        .filter(i -> cache.holds(CacheKey.of(i)))
                        .count();
        assertThat(kept).isLessThanOrEqualTo(2);
        cache.reserve(-8 * PLANE_BYTES);
        cache.setBudget(0);
        assertThat(cache.held()).isZero();
    }

    @Test
    void concurrentRequestsComputeOnce() throws Exception {
        FrameCache cache = new FrameCache(1 << 20);
        AtomicInteger made = new AtomicInteger();
        CountDownLatch all = new CountDownLatch(4);
        try (var threads = Executors.newFixedThreadPool(4)) {
            List<Future<Plane>> asked = new ArrayList<>();
            for (int i = 0; i < 4; i++) {
                asked.add(
                        threads.submit(
                                () -> {
                                    all.countDown();
                                    all.await();
                                    return cache.get(
                                            CacheKey.of("p"),
                                            () -> {
                                                made.incrementAndGet();
                                                sleep();
                                                return plane();
                                            });
                                }));
            }
            Plane first = asked.getFirst().get();
            for (Future<Plane> each : asked) {
                assertThat(each.get()).isSameAs(first);
            }
        }
        assertThat(made.get()).isEqualTo(1);
    }

    private static void sleep() {
        try {
            Thread.sleep(50);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void waitersRetryAFailedComputation() throws Exception {
        FrameCache cache = new FrameCache(1 << 20);
        CountDownLatch making = new CountDownLatch(1);
        CountDownLatch fail = new CountDownLatch(1);
        try (var threads = Executors.newFixedThreadPool(2)) {
            Future<Object> failing =
                    threads.submit(
                            () ->
                                    cache.get(
                                            CacheKey.of("p"),
                                            () -> {
                                                making.countDown();
                                                await(fail);
                                                throw new IllegalStateException("no");
                                            }));
            making.await();
            assertThatThrownBy(() -> cache.get(CacheKey.of("p"), FrameCacheTest::plane, () -> true))
                    .isInstanceOf(CancelledException.class);
            Future<Plane> waiting =
                    threads.submit(() -> cache.get(CacheKey.of("p"), FrameCacheTest::plane));
            fail.countDown();
            assertThat(waiting.get().at(0, 0)).isEqualTo(0.5f);
            assertThatThrownBy(failing::get).hasMessageContaining("no");
        }
    }

    private static void await(CountDownLatch latch) {
        try {
            latch.await();
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void outOfMemoryEmptiesTheCacheFirst() {
        FrameCache cache = new FrameCache(1 << 20);
        cache.get(CacheKey.of("kept"), FrameCacheTest::plane);
        AtomicInteger tries = new AtomicInteger();
        Plane made =
                cache.get(
                        CacheKey.of("large"),
                        () -> {
                            if (tries.incrementAndGet() == 1) {
                                throw new OutOfMemoryError("full");
                            }
                            return plane();
                        });
        assertThat(made.at(0, 0)).isEqualTo(0.5f);
        assertThat(cache.holds(CacheKey.of("kept"))).isFalse();
    }

    @Test
    void tooLargeAResultIsTriedTwiceAndReported() {
        FrameCache cache = new FrameCache(1 << 20);
        AtomicInteger tries = new AtomicInteger();
        Supplier<Plane> full =
                () -> {
                    tries.incrementAndGet();
                    throw new OutOfMemoryError("full");
                };
        assertThatThrownBy(
                        () ->
                                cache.get(
                                        CacheKey.of("a"),
                                        () ->
                                                cache.get(
                                                        CacheKey.of("b"),
                                                        () -> cache.get(CacheKey.of("c"), full))))
                .isInstanceOf(NotEnoughMemoryException.class)
                .hasMessageContaining("not enough memory");
        assertThat(tries.get()).isEqualTo(2);
        assertThat(cache.get(CacheKey.of("c"), FrameCacheTest::plane).at(0, 0)).isEqualTo(0.5f);
    }

    @Test
    void aSecondRequestMarksAResultAsRecurring() {
        FrameCache cache = new FrameCache(1 << 20);
        assertThat(cache.recurs(CacheKey.of("a"))).isFalse();
        assertThat(cache.recurs(CacheKey.of("a"))).isTrue();
        assertThat(cache.recurs(CacheKey.of("b"))).isFalse();
    }
}
