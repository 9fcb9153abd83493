package ivrik.core.render;

import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;

import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * Frames by what they depend on, the least recently used let go when their samples take more than
 * {@code bytes}. Safe for many threads; two that miss at once both compute.
 */
public final class FrameCache {
    private final long bytes;
    private long held;
    private final LinkedHashMap<Object, Frame> frames = new LinkedHashMap<>(16, 0.75f, true);

    public FrameCache(long bytes) {
        this.bytes = bytes;
    }

    public Frame get(Object key, Supplier<Frame> make) {
        synchronized (frames) {
            Frame found = frames.get(key);
            if (found != null) {
                return found;
            }
        }
        Frame made = make.get();
        synchronized (frames) {
            Frame before = frames.put(key, made);
            held += size(made) - (before == null ? 0 : size(before));
            var oldest = frames.entrySet().iterator();
            while (held > bytes && frames.size() > 1) {
                Map.Entry<Object, Frame> entry = oldest.next();
                held -= size(entry.getValue());
                oldest.remove();
            }
        }
        return made;
    }

    public void clear() {
        synchronized (frames) {
            frames.clear();
            held = 0;
        }
    }

    private static long size(Frame frame) {
        Map<float[], Boolean> arrays = new IdentityHashMap<>();
        Stream.concat(frame.colour().stream(), frame.coverage().stream())
                .map(Plane::data)
                .forEach(a -> arrays.put(a, true));
        return arrays.keySet().stream().mapToLong(a -> 4L * a.length).sum();
    }
}
