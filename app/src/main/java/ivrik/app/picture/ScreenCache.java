package ivrik.app.picture;

import ivrik.core.render.Plan;

import java.util.LinkedHashMap;
import java.util.Optional;

/** Screen pixels of whole frames by plan and scale; the least recently used go first. */
public final class ScreenCache {
    private record Key(Plan plan, double scale) {}

    private final long budget;
    private long held;
    private final LinkedHashMap<Key, Shown> frames = new LinkedHashMap<>(64, 0.75f, true);

    public ScreenCache(long budgetBytes) {
        this.budget = budgetBytes;
    }

    public synchronized Optional<Shown> get(Plan plan, double scale) {
        return Optional.ofNullable(frames.get(new Key(plan, scale)));
    }

    /** Whether a frame is there at this scale or a better one. */
    public synchronized boolean has(Plan plan, double scale) {
        for (double s = scale; s <= 1; s *= 2) {
            if (frames.containsKey(new Key(plan, s))) {
                return true;
            }
        }
        return false;
    }

    public synchronized void put(Plan plan, Shown shown) {
        Shown before = frames.put(new Key(plan, shown.scale()), shown.pixelsOnly());
        held += shown.bytes() - (before == null ? 0 : before.bytes());
        var oldest = frames.entrySet().iterator();
        while (held > budget && frames.size() > 1) {
            held -= oldest.next().getValue().bytes();
            oldest.remove();
        }
    }

    public synchronized void clear() {
        frames.clear();
        held = 0;
    }
}
