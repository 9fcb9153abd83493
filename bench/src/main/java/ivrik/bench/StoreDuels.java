package ivrik.bench;

import ivrik.core.cache.Store;
import ivrik.core.look.Look;
import ivrik.core.motion.Value;
import ivrik.core.picture.Frame;
import ivrik.core.render.Plan;
import ivrik.core.render.Renderer;
import ivrik.core.threads.Cancel;
import ivrik.core.threads.Workers;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntFunction;

/** What is saved by keeping stages: an edit, or coming back, against making all of a frame anew. */
final class StoreDuels {
    private static final long BUDGET_BYTES = 1L << 30;

    private final Frame frame;
    private final Workers workers;

    StoreDuels(Frame frame, Workers workers) {
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
                        "one lane of four treatments changed / all four",
                        kept(n -> with(four, "gaussian-1", 0, "radius", 16 + n * 1e-4)),
                        anew(four),
                        0.45),
                new Duel(
                        "a frame come back to / all four treatments",
                        kept(n -> four),
                        anew(four),
                        0.02));
    }

    private static Look with(Look look, String step, int lane, String name, double value) {
        return look.withAmounts(step, lane, a -> a.with(name, Value.of(value)));
    }

    /** Each time another look, with all that is left of the one before. */
    private Runnable kept(IntFunction<Look> looks) {
        Renderer renderer = new Renderer((p, s) -> frame, workers, new Store(BUDGET_BYTES));
        AtomicInteger number = new AtomicInteger();
        return () -> {
            Plan plan = OneLayer.plan(frame, looks.apply(number.getAndIncrement()));
            renderer.screen(plan, 1, Cancel.NEVER);
        };
    }

    private Runnable anew(Look look) {
        Plan plan = OneLayer.plan(frame, look);
        Renderer renderer = new Renderer((p, s) -> frame, workers, new Store(0));
        return () -> renderer.screen(plan, 1, Cancel.NEVER);
    }
}
