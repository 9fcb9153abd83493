package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.CancelledException;
import ivrik.core.treatment.ValidRegion;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.LongFunction;

/**
 * How much a look's result must be enlarged so that no edge which its moves uncover is seen in a range
 * of frames: found from the moves of every lane at every frame. What a lane's moves leave covered is
 * remembered, so that lanes and frames which move alike, and those that an edit leaves alone, cost next to
 * nothing. One range is worked out at a time: whoever asks for the same waits and has it. Safe for many
 * threads.
 */
public final class Overscans {
    /** So many different moves are remembered, and so many results. */
    private static final int MOVES = 1 << 14;

    private static final int RESULTS = 32;

    private final ReentrantLock working = new ReentrantLock();
    private final Map<Object, ValidRegion> covered = recent(MOVES);
    private final Map<Object, Result> results = recent(RESULTS);
    private final Map<Object, Result> latest = recent(MOVES);

    /** The scale that was found last for a look; 1 if none was. */
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
     * What is needed.
     *
     * @param scale at least 1
     * @param frame which demands it; -1 if none does
     * @param covered what is covered in every lane at all frames
     */
    public record Result(double scale, long frame, ValidRegion covered) {}

    /**
     * What the moves demand of the frames of a range.
     *
     * @param place which look of which layer it is
     * @param asked all that the answer depends on
     * @param plans the look at each frame
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     */
    Result demanded(
            String place,
            Object asked,
            FrameRange range,
            Size size,
            LongFunction<LookPlan> plans,
            Cancel cancel) {
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

    private Result find(FrameRange range, Size size, LongFunction<LookPlan> plans, Cancel cancel) {
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
        return Road.covered(plan, size, (lane, before) -> covered(lane, before, size));
    }

    private ValidRegion covered(Treat lane, ValidRegion before, Size size) {
        record Moves(Object work, ValidRegion before, Size size) {}
        Moves moves = new Moves(lane.key(), before, size);
        ValidRegion known = get(covered, moves);
        if (known == null) {
            known = lane.covered(before, size);
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
                        Enlarge.hiding(c.left(), size.width()),
                        Enlarge.hiding(size.width() - c.right(), size.width())),
                Math.max(
                        Enlarge.hiding(c.top(), size.height()),
                        Enlarge.hiding(size.height() - c.bottom(), size.height())));
    }
}
