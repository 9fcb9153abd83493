package ivrik.bench;

import ivrik.core.cache.FrameCache;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.render.Plan;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;

/**
 * Savings of cached stages: rendering after an edit, or after a return, against rendering a whole frame.
 */
final class CacheDuels {
    private static final long BUDGET_BYTES = 1L << 30;

    private final Frame frame;
    private final Workers workers;

    CacheDuels(Frame frame, Workers workers) {
        this.frame = frame;
        this.workers = workers;
    }

    List<Duel> all() {
        Look four = OneLayer.four();
        return List.of(
                new Duel(
                        "the last of four treatments changed / all four",
                        kept(n -> with(four, "grain-1", 0, "strength", 6 + n * 1e-4)),
                        anew(four),
                        0.35),
                new Duel(
                        "one channel of four treatments changed / all four",
                        kept(n -> with(four, "gaussian-1", 0, "radius", 16 + n * 1e-4)),
                        anew(four),
                        0.45),
                new Duel(
                        "a frame shown again / all four treatments",
                        kept(n -> four),
                        anew(four),
                        0.02));
    }

    private static Look with(Look look, String step, int channel, String name, double value) {
        return look.withSettings(step, channel, a -> a.with(name, Value.of(value)));
    }

    /** A different look each time, with the cache of the previous one. */
    private Runnable kept(IntFunction<Look> looks) {
        Renderer renderer = new Renderer((p, s) -> frame, workers, new FrameCache(BUDGET_BYTES));
        AtomicInteger number = new AtomicInteger();
        return () -> {
            Plan plan = OneLayer.plan(frame, looks.apply(number.getAndIncrement()));
            renderer.screen(plan, 1, Cancellation.NEVER);
        };
    }

    private Runnable anew(Look look) {
        Plan plan = OneLayer.plan(frame, look);
        Renderer renderer = new Renderer((p, s) -> frame, workers, new FrameCache(0));
        return () -> renderer.screen(plan, 1, Cancellation.NEVER);
    }
}
