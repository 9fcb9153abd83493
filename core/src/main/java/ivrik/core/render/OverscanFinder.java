package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.CancelledException;
import ivrik.core.treatment.ValidRegion;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.LongFunction;

/**
 * Finds the scale at which no edge that a look uncovers is visible within a range of frames, from the
 * mappings of every channel at every frame. Covered areas are cached per mapping, so that equal mappings of
 * channels and frames, and frames that an edit leaves alone, cost little. One range is computed at a time;
 * further requests for the same range wait for the result. Thread-safe.
 */
public final class OverscanFinder {
    /** Capacity of each cache. */
    private static final int MOVES = 1 << 14;

    private static final int RESULTS = 32;

    private final ReentrantLock working = new ReentrantLock();
    private final Map<Object, ValidRegion> covered = recent(MOVES);
    private final Map<Object, Result> results = recent(RESULTS);
    private final Map<Object, Result> latest = recent(MOVES);

    /** The scale most recently found for a look; 1 if none. */
    double latest(String place) {
        Result last = get(latest, place);
        return last == null ? 1 : last.scale();
    }

    private static <V> Map<Object, V> recent(int most) {
        return new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<Object, V> eldest) {
                return size() > most;
            }
        };
    }

    /**
     * The required overscan.
     *
     * @param scale at least 1
     * @param frame frame that requires the scale; -1 if none
     * @param covered area covered by every channel at all frames
     */
    public record Result(double scale, long frame, ValidRegion covered) {}

    /**
     * The overscan that the frames of a range require.
     *
     * @param place identifies the layer and look
     * @param asked everything that the result depends on
     * @param plans the look at each frame
     * @throws ivrik.core.threads.CancelledException if cancelled
     */
    Result demanded(
            String place,
            Object asked,
            FrameRange range,
            Size size,
            LongFunction<LookPlan> plans,
            Cancellation cancel) {
        Result known = get(results, asked);
        if (known != null) {
            put(latest, place, known);
            return known;
        }
        while (!tryLock()) {
            cancel.check();
        }
        try {
            known = get(results, asked);
            if (known == null) {
                known = find(range, size, plans, cancel);
                put(results, asked, known);
            }
            put(latest, place, known);
            return known;
        } finally {
            working.unlock();
        }
    }

    private boolean tryLock() {
        try {
            return working.tryLock(10, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancelledException();
        }
    }

    private Result find(
            FrameRange range, Size size, LongFunction<LookPlan> plans, Cancellation cancel) {
        ValidRegion always = ValidRegion.all(size);
        double most = 1;
        long at = -1;
        for (long n = range.first(); n <= range.last(); n++) {
            cancel.check();
            ValidRegion here = covered(plans.apply(n), size);
            double scale = hiding(here, size);
            if (scale > most) {
                most = scale;
                at = n;
            }
            always = always.and(here);
        }
        return new Result(most, at, always);
    }

    private ValidRegion covered(LookPlan plan, Size size) {
        return Pipeline.covered(plan, size, (channel, before) -> covered(channel, before, size));
    }

    private ValidRegion covered(ChannelStage channel, ValidRegion before, Size size) {
        record Moves(Object work, ValidRegion before, Size size) {}
        Moves moves = new Moves(channel.key(), before, size);
        ValidRegion known = get(covered, moves);
        if (known == null) {
            known = channel.covered(before, size);
            put(covered, moves, known);
        }
        return known;
    }

    private static <V> V get(Map<Object, V> map, Object key) {
        synchronized (map) {
            return map.get(key);
        }
    }

    private static <V> void put(Map<Object, V> map, Object key, V value) {
        synchronized (map) {
            map.put(key, value);
        }
    }

    private static double hiding(ValidRegion c, Size size) {
        return Math.max(
                Math.max(
                        OverscanStage.hiding(c.left(), size.width()),
                        OverscanStage.hiding(size.width() - c.right(), size.width())),
                Math.max(
                        OverscanStage.hiding(c.top(), size.height()),
                        OverscanStage.hiding(size.height() - c.bottom(), size.height())));
    }
}
