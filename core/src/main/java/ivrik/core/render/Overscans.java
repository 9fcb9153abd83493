package ivrik.core.render;

import ivrik.core.picture.Size;
import ivrik.core.project.FrameRange;
import ivrik.core.rejoin.Plate;
import ivrik.core.render.Plan.LookPlan;
import ivrik.core.render.Plan.StepPlan;
import ivrik.core.threads.Cancel;
import ivrik.core.treatment.ValidRegion;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.LongFunction;

/**
 * How much a look's result must be enlarged so that no edge which its moves uncover is seen in a range
 * of frames: found from the moves of every lane at every frame. What a frame's moves leave covered is
 * remembered, so that frames which move alike, and those that an edit leaves alone, cost next to nothing.
 * Safe for many threads.
 */
public final class Overscans {
    /** So many different moves are remembered, and so many results. */
    private static final int MOVES = 1 << 14;

    private static final int RESULTS = 32;

    private final Map<Object, ValidRegion> covered = latest(MOVES);
    private final Map<Object, Result> results = latest(RESULTS);

    private static <V> Map<Object, V> latest(int most) {
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
     * @param asked all that the answer depends on
     * @param plans the look at each frame
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     */
    Result demanded(
            Object asked,
            FrameRange range,
            Size size,
            LongFunction<LookPlan> plans,
            Cancel cancel) {
        Result known = get(results, asked);
        if (known == null) {
            known = find(range, size, plans, cancel);
            put(results, asked, known);
        }
        return known;
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
        record Moves(List<StepPlan> steps, List<Plate> plates, Object prepare, Size size) {}
        Moves moves = new Moves(plan.steps(), plan.plates(), plan.prepare(), size);
        ValidRegion known = get(covered, moves);
        if (known == null) {
            known = Road.covered(plan, size);
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
