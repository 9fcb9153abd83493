package ivrik.media.decode;

import ivrik.core.cache.Store;
import ivrik.media.pixel.StoredPicture;

import java.util.Optional;
import java.util.TreeMap;

/**
 * Frames that were decoded on the way to one that was asked for. Whoever steps back asks for these next, and would have
 * all before them decoded again each time; then the last of them are kept, as they are stored. For one thread.
 */
final class PassedFrames {
    /** Less than this back is a step, more is a leap. */
    static final int REACH = 48;

    static final long MOST_BYTES = 64L << 20;

    private final TreeMap<Long, StoredPicture> frames = new TreeMap<>();
    private long bytes;
    private long bytesOfOne;
    private long last = -1;
    private boolean isBack;

    /** A frame that is asked for, if it is kept; those that are far from it are kept no longer. */
    Optional<StoredPicture> asked(long number) {
        isBack = number < last && last - number < REACH;
        last = number;
        frames.headMap(number - REACH).clear();
        frames.tailMap(number + REACH).clear();
        StoredPicture known = frames.get(number);
        if (known == null && isBack) {
            frames.clear(); // makes room for those before it
        }
        bytes = frames.values().stream().mapToLong(Store::bytes).sum();
        return Optional.ofNullable(known);
    }

    /** Whether a frame is worth keeping on the way to another. */
    boolean wants(long number, long to) {
        long many = bytesOfOne == 0 ? REACH : Math.min(REACH, MOST_BYTES / bytesOfOne);
        return isBack && to - number <= many;
    }

    void keep(long number, StoredPicture picture) {
        bytesOfOne = Store.bytes(picture);
        frames.put(number, picture);
        bytes += bytesOfOne;
        while (bytes > MOST_BYTES) {
            bytes -= Store.bytes(frames.pollFirstEntry().getValue());
        }
    }

    long bytes() {
        return bytes;
    }
}
