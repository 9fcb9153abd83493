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
 * Results by their keys, within one budget of bytes: planes, frames, screens and lists of planes. What is
 * asked for by several at once is made by one of them, and the others wait. When memory runs out, all
 * that is kept is let go before the work fails.
 */
public final class Store {
    /** So many keys of things that were not kept are remembered, to see which come again. */
    private static final int SEEN = 8192;

    /** The bytes of a result that has no samples, so that even those are bounded. */
    private static final long LEAST = 256;

    private final Cache<Key, Object> kept;
    private final Cache<Key, Boolean> seen;
    private final Map<Key, CompletableFuture<Object>> underWay = new ConcurrentHashMap<>();
    private final AtomicLong reserved = new AtomicLong();
    private volatile long budget;

    /**
     * @param bytes how much is kept at most
     */
    public Store(long bytes) {
        budget = bytes;
        kept =
                Caffeine.newBuilder()
                        .maximumWeight(Math.max(0, bytes >> 10))
                        .weigher((Key key, Object value) -> kilobytes(bytes(value)))
                        .executor(Runnable::run)
                        .build();
        seen = Caffeine.newBuilder().maximumSize(SEEN).executor(Runnable::run).build();
    }

    /** Caffeine counts in whole numbers, of which there are too few for bytes. */
    private static int kilobytes(long bytes) {
        return (int) Math.min(Integer.MAX_VALUE, (bytes >> 10) + 1);
    }

    /** The memory of a result; an array that stands in it several times counts once. */
    public static long bytes(Object value) {
        Map<Object, Boolean> arrays = new IdentityHashMap<>();
        collect(value, arrays);
        long sum = LEAST;
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
            case Keepable keepable -> keepable.arrays().forEach(a -> arrays.put(a, true));
            case null, default -> {}
        }
    }

    /** What is kept for a key, if anything is. */
    @SuppressWarnings("unchecked") // a key belongs to one kind of result
    public <T> Optional<T> peek(Key key) {
        return Optional.ofNullable((T) kept.getIfPresent(key));
    }

    /** Whether anything is kept for a key; asking makes it no more likely to stay. */
    public boolean holds(Key key) {
        return kept.policy().getIfPresentQuietly(key) != null;
    }

    /**
     * What is kept for a key, made if it is not; never null.
     *
     * @throws NoRoomException if memory is too small even when nothing is kept
     */
    public <T> T get(Key key, Supplier<T> make) {
        return get(key, make, () -> false);
    }

    /**
     * The same while it is wanted.
     *
     * @param isCancelled whether it is no longer; asked while another makes it
     * @throws CancelledException when it says so
     */
    @SuppressWarnings("unchecked") // a key belongs to one kind of result
    public <T> T get(Key key, Supplier<T> make, BooleanSupplier isCancelled) {
        while (true) {
            Object found = kept.getIfPresent(key);
            if (found != null) {
                return (T) found;
            }
            CompletableFuture<Object> mine = new CompletableFuture<>();
            CompletableFuture<Object> theirs = underWay.putIfAbsent(key, mine);
            if (theirs == null) {
                return make(key, make, mine);
            }
            Object made = await(theirs, isCancelled);
            if (made != null) {
                return (T) made;
            }
        }
    }

    private <T> T make(Key key, Supplier<T> make, CompletableFuture<Object> mine) {
        try {
            T made = makeWithRoom(make);
            kept.put(key, made);
            mine.complete(made);
            return made;
        } finally {
            mine.complete(null); // those who wait make it themselves, or fail by themselves
            underWay.remove(key, mine);
        }
    }

    private <T> T makeWithRoom(Supplier<T> make) {
        try {
            return make.get();
        } catch (OutOfMemoryError e) {
            letGo();
        }
        try {
            return make.get();
        } catch (OutOfMemoryError e) {
            throw new NoRoomException(e); // no error any more, so that nobody around it tries again
        }
    }

    /** What another makes; null if it gave up. */
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
                throw new IllegalStateException("it is only ever completed", e);
            }
        }
    }

    /**
     * Whether a key is asked about for the second time or more, so that its result is worth keeping; never
     * where nothing can be kept.
     */
    public boolean recurs(Key key) {
        if (room() == 0) {
            return false;
        }
        if (seen.getIfPresent(key) != null) {
            return true;
        }
        seen.put(key, true);
        return false;
    }

    /** Nothing is kept any more; what is reserved stays. */
    public void letGo() {
        kept.invalidateAll();
    }

    /** Sets how much is kept at most, in bytes. */
    public void setBudget(long bytes) {
        budget = bytes;
        fit();
    }

    public long budget() {
        return budget;
    }

    /**
     * Takes part of the budget for what is held elsewhere, such as pictures decoded ahead.
     *
     * @param bytes more than before; less if negative
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

    /** How many bytes are kept now, those reserved included. */
    public long held() {
        kept.cleanUp();
        return (kept.policy().eviction().orElseThrow().weightedSize().orElse(0) << 10)
                + reserved.get();
    }
}
