package ivrik.media.decode;

import ivrik.core.cache.Store;
import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Size;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;
import ivrik.core.threads.Workers;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/**
 * Footage read in a thread of its own, a few frames ahead when they are asked for in order. What it holds
 * counts against a store's budget. Safe for many threads.
 */
final class AheadReader implements AutoCloseable {
    private static final int AHEAD = 4;

    /** Those read ahead, the present one and one before it. */
    private static final int KEPT = AHEAD + 2;

    private final Footage footage;
    private final Optional<Colours> colours;
    private final Workers workers;
    private final Store store;
    private final ExecutorService decoder =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-decoder"));
    private final LinkedHashMap<Key, CompletableFuture<Frame>> frames = new LinkedHashMap<>();
    private long last = -2;
    private boolean closed;

    private record Key(long n, Size shown, ColourSpace space) {}

    /**
     * @param colours what the numbers of its pictures are taken to mean; empty to leave them as they are
     * @param store whose budget counts what is held
     */
    AheadReader(Footage footage, Optional<Colours> colours, Workers workers, Store store) {
        this.footage = footage;
        this.colours = colours;
        this.workers = workers;
        this.store = store;
    }

    Frame frame(long n, Size shown, ColourSpace space) {
        CompletableFuture<Frame> wanted;
        synchronized (this) {
            boolean inOrder = n > last && n <= last + KEPT;
            if (!inOrder && n != last) {
                dropWaiting();
            }
            last = n;
            wanted = ask(n, shown, space);
            for (int i = 1; inOrder && i <= AHEAD && n + i < footage.frames(); i++) {
                ask(n + i, shown, space);
            }
        }
        try {
            return wanted.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException r ? r : e;
        } catch (CancellationException e) {
            return frame(
                    n, shown, space); // dropped by another caller before this one had begun to wait
        }
    }

    private CompletableFuture<Frame> ask(long n, Size shown, ColourSpace space) {
        if (closed) {
            throw new CancelledException();
        }
        Key key =
                new Key(
                        n,
                        footage.kind() == ivrik.core.project.Source.Kind.VECTOR ? shown : null,
                        space);
        CompletableFuture<Frame> asked = frames.get(key);
        if (asked == null || asked.isCompletedExceptionally()) {
            asked = new CompletableFuture<>();
            CompletableFuture<Frame> future = asked;
            frames.remove(key);
            frames.put(key, future);
            decoder.execute(() -> decode(key, shown, future));
        }
        Iterator<Map.Entry<Key, CompletableFuture<Frame>>> oldest = frames.entrySet().iterator();
        while (frames.size() > KEPT && oldest.hasNext()) {
            CompletableFuture<Frame> each = oldest.next().getValue();
            if (each.isDone()) {
                oldest.remove();
                release(each);
            }
        }
        return asked;
    }

    private void decode(Key key, Size shown, CompletableFuture<Frame> future) {
        if (future.isDone()) {
            return;
        }
        try {
            Frame delivered = footage.delivered(key.n(), shown);
            complete(
                    future,
                    colours.flatMap(c -> c.to(key.space()))
                            .map(c -> c.apply(delivered, workers))
                            .orElse(delivered));
        } catch (Throwable t) {
            future.completeExceptionally(t);
        }
    }

    private synchronized void complete(CompletableFuture<Frame> future, Frame frame) {
        if (!future.isDone() && frames.containsValue(future)) {
            store.reserve(Store.bytes(frame)); // before anyone has it
        }
        future.complete(frame);
    }

    /** One that is done is held no longer. */
    private void release(CompletableFuture<Frame> done) {
        if (!done.isCompletedExceptionally()) {
            store.reserve(-Store.bytes(done.join()));
        }
    }

    /** The place has changed: what waits to be read ahead is not wanted any more. */
    private void dropWaiting() {
        frames.values()
                .removeIf(f -> !f.isDone() && f.getNumberOfDependents() == 0 && f.cancel(false));
    }

    synchronized boolean isClosed() {
        return closed;
    }

    /** What was asked for before is still read; asking again is given up. */
    @Override
    public synchronized void close() {
        if (!closed) {
            closed = true;
            frames.values().stream().filter(CompletableFuture::isDone).forEach(this::release);
            frames.clear();
            decoder.execute(footage::close);
            decoder.shutdown();
        }
    }
}
