package ivrik.media.decode;

import ivrik.core.cache.FrameCache;
import ivrik.core.colour.ColourSpace;
import ivrik.core.picture.ColourRows;
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
 * Reads footage on its own thread, a few frames ahead of sequential requests. Buffered frames count against a
 * cache's budget. Thread-safe.
 */
final class AheadReader implements AutoCloseable {
    private static final int AHEAD = 4;

    /** The frames read ahead, the present one and one before. */
    private static final int KEPT = AHEAD + 2;

    private final Footage footage;
    private final Optional<FootageColours> colours;
    private final Workers workers;
    private final FrameCache cache;
    private final ExecutorService decoder =
            Executors.newSingleThreadExecutor(Threads.named("ivrik-decoder"));
    private final LinkedHashMap<Key, CompletableFuture<ReadFrame>> frames = new LinkedHashMap<>();
    private long last = -2;

    /** Bytes that the footage itself buffers, as far as reserved. */
    private long besides;

    private boolean closed;

    private record Key(long n, Size shown, ColourSpace space) {}

    /**
     * @param colours colour interpretation of the footage; empty for no conversion
     * @param cache cache whose budget counts the buffered frames
     */
    AheadReader(
            Footage footage, Optional<FootageColours> colours, Workers workers, FrameCache cache) {
        this.footage = footage;
        this.colours = colours;
        this.workers = workers;
        this.cache = cache;
    }

    /** The frame as planes; rows of stored data are converted by the caller. */
    Frame frame(long n, Size shown, ColourSpace space) {
        return read(n, shown, space).frame(workers);
    }

    /** The frame as rows of stored data, if possible. */
    Optional<ColourRows> rows(long n, ColourSpace space) {
        return read(n, footage.size(), space).rows();
    }

    private ReadFrame read(long n, Size shown, ColourSpace space) {
        CompletableFuture<ReadFrame> wanted;
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
            return read(n, shown, space); // dropped by another caller before this one waited for it
        }
    }

    private CompletableFuture<ReadFrame> ask(long n, Size shown, ColourSpace space) {
        if (closed) {
            throw new CancelledException();
        }
        Key key =
                new Key(
                        n,
                        footage.kind() == ivrik.core.project.Source.Kind.VECTOR ? shown : null,
                        space);
        CompletableFuture<ReadFrame> asked = frames.get(key);
        if (asked == null || asked.isCompletedExceptionally()) {
            asked = new CompletableFuture<>();
            CompletableFuture<ReadFrame> future = asked;
            frames.remove(key);
            frames.put(key, future);
            decoder.execute(() -> decode(key, shown, future));
        }
        Iterator<Map.Entry<Key, CompletableFuture<ReadFrame>>> oldest =
                frames.entrySet().iterator();
        while (frames.size() > KEPT && oldest.hasNext()) {
            CompletableFuture<ReadFrame> each = oldest.next().getValue();
            if (each.isDone()) {
                oldest.remove();
                release(each);
            }
        }
        return asked;
    }

    private void decode(Key key, Size shown, CompletableFuture<ReadFrame> future) {
        if (future.isDone()) {
            return;
        }
        try {
            ReadFrame read = footage.read(key.n(), shown);
            ReadFrame frame =
                    colours.flatMap(c -> c.to(key.space()))
                            .map(c -> ReadFrame.of(c.apply(read.frame(workers), workers)))
                            .orElse(read);
            count(footage.keptBytes());
            complete(future, frame);
        } catch (Throwable t) {
            future.completeExceptionally(t);
        }
    }

    private synchronized void count(long kept) {
        if (!closed) {
            cache.reserve(kept - besides);
            besides = kept;
        }
    }

    private synchronized void complete(CompletableFuture<ReadFrame> future, ReadFrame frame) {
        if (!future.isDone() && frames.containsValue(future)) {
            cache.reserve(frame.bytes()); // reserved before anyone uses the frame
        }
        future.complete(frame);
    }

    /** Releases the memory of a delivered frame. */
    private void release(CompletableFuture<ReadFrame> done) {
        if (!done.isCompletedExceptionally()) {
            cache.reserve(-done.join().bytes());
        }
    }

    /** Drops queued requests after a jump to another position. */
    private void dropWaiting() {
        frames.values()
                .removeIf(f -> !f.isDone() && f.getNumberOfDependents() == 0 && f.cancel(false));
    }

    synchronized boolean isClosed() {
        return closed;
    }

    /** Finishes the present read; further requests throw. */
    @Override
    public synchronized void close() {
        if (!closed) {
            closed = true;
            frames.values().stream().filter(CompletableFuture::isDone).forEach(this::release);
            frames.clear();
            cache.reserve(-besides);
            decoder.execute(footage::close);
            decoder.shutdown();
        }
    }
}
