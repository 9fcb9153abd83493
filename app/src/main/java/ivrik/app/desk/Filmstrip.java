package ivrik.app.desk;

import ivrik.core.IvrikException;
import ivrik.core.project.Source;
import ivrik.core.threads.CancelledException;
import ivrik.core.threads.Threads;

import javafx.application.Platform;
import javafx.scene.image.Image;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;

/**
 * Small pictures of the frames in the ribbon of shots. They are made one after another, off the interface
 * thread, while nothing plays. To be used on the interface thread.
 */
public final class Filmstrip {
    private static final Logger LOG = LoggerFactory.getLogger(Filmstrip.class);

    /** Largest number of different pictures of a source. */
    private static final int PICTURES = 64;

    private static final int MAX_KEPT = 512;
    private static final int MAX_WAITING = 48;

    private final Map<Key, Image> pictures =
            new LinkedHashMap<>(16, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<Key, Image> eldest) {
                    return size() > MAX_KEPT;
                }
            };

    /** The frames to be made, the last requested first. */
    private final Deque<Wanted> waiting = new ArrayDeque<>();

    private final Runnable changed;
    private final BooleanSupplier pauses;
    private Maker maker;

    /** The picture that is being made; null if none. */
    private Wanted making;

    /** Whether the picture that is being made is to be discarded. */
    private boolean isStale;

    /** Makes a picture, off the interface thread; the image is created on the interface thread. */
    public interface Maker {
        Supplier<Image> make(Source source, long frame);
    }

    private record Key(String source, String path, long frame) {}

    private record Wanted(Key key, Source source) {}

    /**
     * @param changed called when a picture was made
     * @param pauses whether no pictures are to be made now
     */
    Filmstrip(Runnable changed, BooleanSupplier pauses) {
        this.changed = changed;
        this.pauses = pauses;
    }

    /** Begins to make pictures. */
    public void start(Maker of) {
        maker = of;
        next();
    }

    /** Discards all pictures. */
    public void forget() {
        pictures.clear();
        waiting.clear();
        isStale = making != null;
    }

    /** The picture of a source nearest to a frame; empty until it is made. */
    public Optional<Image> picture(Source source, long frame) {
        long apart = Math.max(1, source.frames() / PICTURES);
        Key key = new Key(source.id(), source.path(), frame / apart * apart);
        Wanted wanted = new Wanted(key, source);
        boolean isAsked = wanted.equals(making) && !isStale || waiting.contains(wanted);
        if (!pictures.containsKey(key) && !isAsked) {
            waiting.addFirst(wanted);
            if (waiting.size() > MAX_WAITING) {
                waiting.removeLast();
            }
            next();
        }
        return Optional.ofNullable(pictures.get(key));
    }

    /** Makes the next picture unless one is being made. */
    void next() {
        if (maker == null || making != null || waiting.isEmpty() || pauses.getAsBoolean()) {
            return;
        }
        Wanted wanted = waiting.removeFirst();
        making = wanted;
        Maker now = maker;
        Threads.start(
                "ivrik-filmstrip",
                () -> {
                    Supplier<Image> made = made(now, wanted);
                    Platform.runLater(() -> finished(wanted.key, made));
                });
    }

    private void finished(Key key, Supplier<Image> made) {
        if (!isStale) {
            pictures.put(key, made.get());
        }
        making = null;
        isStale = false;
        changed.run();
        next();
    }

    /** A picture; none if the frame cannot be read, so that it is not tried again. */
    private static Supplier<Image> made(Maker maker, Wanted wanted) {
        try {
            return maker.make(wanted.source, wanted.key.frame);
        } catch (IvrikException | CancelledException e) {
            LOG.debug("no picture of {} at {}", wanted.source.name(), wanted.key.frame, e);
            return () -> null;
        }
    }
}
