package ivrik.media.decode;

import ivrik.core.cache.FrameCache;
import ivrik.media.pixel.StoredPicture;

import java.util.Optional;
import java.util.TreeMap;

/**
 * Frames that were decoded on the way to a requested one. Stepping backwards requests them next and would
 * decode all frames before them each time, so the last ones are kept as stored data. Not thread-safe.
 */
final class PassedFrames {
    /** Largest backward distance that counts as stepping. */
    static final int MAX_DISTANCE = 48;

    static final long MAX_BYTES = 64L << 20;

    private final TreeMap<Long, StoredPicture> frames = new TreeMap<>();
    private long bytes;
    private long bytesOfOne;
    private long last = -1;
    private boolean isBack;

    /** A kept frame, if there is one; frames far from the requested one are dropped. */
    Optional<StoredPicture> asked(long number) {
        isBack = number < last && last - number < MAX_DISTANCE;
        last = number;
        frames.headMap(number - MAX_DISTANCE).clear();
        frames.tailMap(number + MAX_DISTANCE).clear();
        StoredPicture known = frames.get(number);
        if (known == null && isBack) {
            frames.clear(); // makes room for the frames before it
        }
        bytes = frames.values().stream().mapToLong(FrameCache::bytes).sum();
        return Optional.ofNullable(known);
    }

    /** Whether to keep a frame on the way to another. */
    boolean wants(long number, long to) {
        long many = bytesOfOne == 0 ? MAX_DISTANCE : Math.min(MAX_DISTANCE, MAX_BYTES / bytesOfOne);
        return isBack && to - number <= many;
    }

    void keep(long number, StoredPicture picture) {
        bytesOfOne = FrameCache.bytes(picture);
        frames.put(number, picture);
        bytes += bytesOfOne;
        while (bytes > MAX_BYTES) {
            bytes -= FrameCache.bytes(frames.pollFirstEntry().getValue());
        }
    }

    long bytes() {
        return bytes;
    }
}
