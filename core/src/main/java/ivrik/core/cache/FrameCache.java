package ivrik.core.cache;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.threads.CancelledException;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * Cache of planes, frames, screens and lists of planes, within one memory budget. If several threads request
 * the same key, one computes the result and the others wait. If memory runs out, the whole cache is released
 * before a computation fails. Thread-safe.
 */
public final class FrameCache {
    /** Number of recently requested keys that are remembered, to detect repeated requests. */
    private static final int SEEN = 8192;

    /**
     * Bytes that are counted for a result without samples, so that the number of such results is bounded too.
     */
    private static final long MIN = 256;

    private final Cache<CacheKey, Object> kept;
    private final Cache<CacheKey, Boolean> seen;
    private final Map<CacheKey, CompletableFuture<Object>> running = new ConcurrentHashMap<>();
    private final AtomicLong reserved = new AtomicLong();
    private volatile long budget;

    /**
     * @param bytes memory budget
     */
    public FrameCache(long bytes) {
        budget = bytes;
        kept =
                Caffeine.newBuilder()
                        .maximumWeight(Math.max(0, bytes >> 10))
                        .weigher((CacheKey key, Object value) -> kilobytes(bytes(value)))
                        .executor(Runnable::run)
                        .build();
        seen = Caffeine.newBuilder().maximumSize(SEEN).executor(Runnable::run).build();
    }

    /** Weight in kilobytes: Caffeine counts weights as {@code int}. */
    private static int kilobytes(long bytes) {
        return (int) Math.min(Integer.MAX_VALUE, (bytes >> 10) + 1);
    }

    /** Memory of a result in bytes. An array that occurs several times counts once. */
    public static long bytes(Object value) {
        Map<Object, Boolean> arrays = new IdentityHashMap<>();
        collect(value, arrays);
        long sum = MIN;
        for (Object array : arrays.keySet()) {
            sum +=
                    switch (array) {
                        case float[] a -> (long) Float.BYTES * a.length;
                        case int[] a -> (long) Integer.BYTES * a.length;
                        case byte[] a -> a.length;
                        default -> throw new IllegalStateException();
                    };
        }
        return sum;
    }

    private static void collect(Object value, Map<Object, Boolean> arrays) {
        switch (value) {
            case Plane plane -> arrays.put(plane.data(), true);
            case Frame frame -> {
                collect(frame.colour(), arrays);
                collect(frame.coverage(), arrays);
            }
            case int[] words -> arrays.put(words, true);
            case List<?> list -> list.forEach(each -> collect(each, arrays));
            case Optional<?> one -> one.ifPresent(each -> collect(each, arrays));
            case Cacheable keepable -> keepable.arrays().forEach(a -> arrays.put(a, true));
            case null, default -> {}
        }
    }

    /** The cached result of a key; empty if there is none. */
    @SuppressWarnings("unchecked") // a key belongs to one type of result
    public <T> Optional<T> peek(CacheKey key) {
        return Optional.ofNullable((T) kept.getIfPresent(key));
    }

    /** Whether a result is cached. Does not count as a use of the result. */
    public boolean holds(CacheKey key) {
        return kept.policy().getIfPresentQuietly(key) != null;
    }

    /**
     * The cached result of a key; computed if there is none.
     *
     * @return never null
     * @throws NotEnoughMemoryException if the computation runs out of memory even with an empty cache
     */
    public <T> T get(CacheKey key, Supplier<T> make) {
        return get(key, make, () -> false);
    }

    /**
     * The cached result of a key; computed if there is none.
     *
     * @param isCancelled polled while another thread computes the result
     * @throws CancelledException if {@code isCancelled} returns true
     */
    @SuppressWarnings("unchecked") // a key belongs to one type of result
    public <T> T get(CacheKey key, Supplier<T> make, BooleanSupplier isCancelled) {
        while (true) {
            Object found = kept.getIfPresent(key);
            if (found != null) {
                return (T) found;
            }
            CompletableFuture<Object> mine = new CompletableFuture<>();
            CompletableFuture<Object> theirs = running.putIfAbsent(key, mine);
            if (theirs == null) {
                return make(key, make, mine);
            }
            Object made = await(theirs, isCancelled);
            if (made != null) {
                return (T) made;
            }
        }
    }

    private <T> T make(CacheKey key, Supplier<T> make, CompletableFuture<Object> mine) {
        try {
            T made = makeWithRoom(make);
            kept.put(key, made);
            mine.complete(made);
            return made;
        } finally {
            mine.complete(
                    null); // waiting threads compute the result themselves and report their own
            // failure
            running.remove(key, mine);
        }
    }

    private <T> T makeWithRoom(Supplier<T> make) {
        try {
            return make.get();
        } catch (OutOfMemoryError e) {
            release();
        }
        try {
            return make.get();
        } catch (OutOfMemoryError e) {
            throw new NotEnoughMemoryException(e); // not an Error, so that callers do not retry
        }
    }

    /** Waits for the result of another thread; null if that thread was cancelled. */
    private static Object await(CompletableFuture<Object> theirs, BooleanSupplier isCancelled) {
        while (true) {
            try {
                return theirs.get(20, java.util.concurrent.TimeUnit.MILLISECONDS);
            } catch (java.util.concurrent.TimeoutException e) {
                if (isCancelled.getAsBoolean()) {
                    throw new CancelledException();
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new CancelledException();
            } catch (ExecutionException e) {
                throw new IllegalStateException("a computed value never fails here", e);
            }
        }
    }

    /**
     * Whether a key was requested before, so that its result is worth caching. Always false with a budget of
     * 0.
     */
    public boolean recurs(CacheKey key) {
        if (room() == 0) {
            return false;
        }
        if (seen.getIfPresent(key) != null) {
            return true;
        }
        seen.put(key, true);
        return false;
    }

    /** Drops all cached results. Reserved bytes stay reserved. */
    public void release() {
        kept.invalidateAll();
    }

    /**
     * @param bytes new memory budget
     */
    public void setBudget(long bytes) {
        budget = bytes;
        fit();
    }

    public long budget() {
        return budget;
    }

    /**
     * Takes part of the budget for memory that is held elsewhere, such as frames decoded ahead.
     *
     * @param bytes bytes to reserve; negative to give back
     */
    public void reserve(long bytes) {
        reserved.addAndGet(bytes);
        fit();
    }

    private void fit() {
        kept.policy().eviction().orElseThrow().setMaximum(room() >> 10);
    }

    private long room() {
        return Math.max(0, budget - reserved.get());
    }

    /** Bytes in use, including reserved bytes. */
    public long held() {
        kept.cleanUp();
        return (kept.policy().eviction().orElseThrow().weightedSize().orElse(0) << 10)
                + reserved.get();
    }
}
