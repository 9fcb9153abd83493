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

class StoreTest {
    private static final long PLANE_BYTES = 4L * 64 * 64;

    private static Plane plane() {
        return Plane.flat(64, 64, 0.5f);
    }

    @Test
    void keysAreEqualWhenAllThatTheyTellIs() {
        Key a = Key.of("picture").then(1).then("blur");
        assertThat(a).isEqualTo(Key.of("picture").then(1).then("blur"));
        assertThat(a.hashCode()).isEqualTo(Key.of("picture").then(1).then("blur").hashCode());
        assertThat(a)
                .isNotEqualTo(Key.of("picture").then("blur").then(1))
                .isNotEqualTo(Key.of("picture").then(1))
                .isNotEqualTo(Key.of("another").then(1).then("blur"));
    }

    @Test
    void whatIsKeptIsMadeOnce() {
        Store store = new Store(1 << 20);
        AtomicInteger made = new AtomicInteger();
        for (int i = 0; i < 3; i++) {
            Plane plane =
                    store.get(
                            Key.of("p"),
                            () -> {
                                made.incrementAndGet();
                                return plane();
                            });
            assertThat(plane.at(3, 3)).isEqualTo(0.5f);
        }
        assertThat(made.get()).isEqualTo(1);
        assertThat(store.holds(Key.of("p"))).isTrue();
        assertThat(store.holds(Key.of("q"))).isFalse();
    }

    @Test
    void whatIsLetGoIsMadeAnewAndWhatIsReservedStays() {
        Store store = new Store(1 << 20);
        store.get(Key.of("p"), StoreTest::plane);
        store.reserve(1000);
        assertThat(store.held()).isGreaterThan(PLANE_BYTES);
        store.letGo();
        assertThat(store.holds(Key.of("p"))).isFalse();
        assertThat(store.held()).isEqualTo(1000);
        store.get(Key.of("p"), StoreTest::plane);
        assertThat(store.holds(Key.of("p"))).isTrue();
    }

    @Test
    void anArrayThatStandsInAResultSeveralTimesCountsOnce() {
        Plane one = plane();
        assertThat(Store.bytes(Frame.opaque(one, one, one)))
                .isBetween(PLANE_BYTES, PLANE_BYTES + 1000);
        assertThat(Store.bytes(Frame.opaque(one, plane(), plane())))
                .isBetween(3 * PLANE_BYTES, 3 * PLANE_BYTES + 1000);
    }

    @Test
    void neverMoreIsKeptThanTheBudgetAllows() {
        Store store = new Store(10 * PLANE_BYTES);
        for (int i = 0; i < 50; i++) {
            store.get(Key.of(i), StoreTest::plane);
        }
        assertThat(store.held()).isBetween(5 * PLANE_BYTES, 10 * PLANE_BYTES);
        store.reserve(8 * PLANE_BYTES);
        assertThat(store.held()).isLessThanOrEqualTo(10 * PLANE_BYTES);
        long kept =
                java.util.stream.IntStream.range(0, 50).filter(i -> store.holds(Key.of(i))).count();
        assertThat(kept).isLessThanOrEqualTo(2);
        store.reserve(-8 * PLANE_BYTES);
        store.setBudget(0);
        assertThat(store.held()).isZero();
    }

    @Test
    void whatSeveralAskForAtOnceIsMadeByOneOfThem() throws Exception {
        Store store = new Store(1 << 20);
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
                                    return store.get(
                                            Key.of("p"),
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
    void whoeverWaitsForWhatFailsMakesItThemselvesOrGivesUp() throws Exception {
        Store store = new Store(1 << 20);
        CountDownLatch making = new CountDownLatch(1);
        CountDownLatch fail = new CountDownLatch(1);
        try (var threads = Executors.newFixedThreadPool(2)) {
            Future<Object> failing =
                    threads.submit(
                            () ->
                                    store.get(
                                            Key.of("p"),
                                            () -> {
                                                making.countDown();
                                                await(fail);
                                                throw new IllegalStateException("no");
                                            }));
            making.await();
            assertThatThrownBy(() -> store.get(Key.of("p"), StoreTest::plane, () -> true))
                    .isInstanceOf(CancelledException.class);
            Future<Plane> waiting = threads.submit(() -> store.get(Key.of("p"), StoreTest::plane));
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
    void whenMemoryRunsOutAllIsLetGoBeforeTheWorkFails() {
        Store store = new Store(1 << 20);
        store.get(Key.of("kept"), StoreTest::plane);
        AtomicInteger tries = new AtomicInteger();
        Plane made =
                store.get(
                        Key.of("large"),
                        () -> {
                            if (tries.incrementAndGet() == 1) {
                                throw new OutOfMemoryError("full");
                            }
                            return plane();
                        });
        assertThat(made.at(0, 0)).isEqualTo(0.5f);
        assertThat(store.holds(Key.of("kept"))).isFalse();
    }

    @Test
    void whatDoesNotFitIsTriedTwiceHoweverDeepItLiesAndSaysSo() {
        Store store = new Store(1 << 20);
        AtomicInteger tries = new AtomicInteger();
        Supplier<Plane> full =
                () -> {
                    tries.incrementAndGet();
                    throw new OutOfMemoryError("full");
                };
        assertThatThrownBy(
                        () ->
                                store.get(
                                        Key.of("a"),
                                        () ->
                                                store.get(
                                                        Key.of("b"),
                                                        () -> store.get(Key.of("c"), full))))
                .isInstanceOf(NoRoomException.class)
                .hasMessageContaining("there is not enough memory");
        assertThat(tries.get()).isEqualTo(2);
        assertThat(store.get(Key.of("c"), StoreTest::plane).at(0, 0)).isEqualTo(0.5f);
    }

    @Test
    void whatIsAskedAboutASecondTimeRecurs() {
        Store store = new Store(1 << 20);
        assertThat(store.recurs(Key.of("a"))).isFalse();
        assertThat(store.recurs(Key.of("a"))).isTrue();
        assertThat(store.recurs(Key.of("b"))).isFalse();
    }
}
