package ivrik.app.session;

import ivrik.core.motion.Rational;
import ivrik.core.project.Project;
import ivrik.core.render.OverscanFinder;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.threads.Cancellation;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The plans of one project's frames, each computed once, off the interface thread; known plans can be read on
 * any thread. Thread-safe.
 */
public final class Plans {
    private final Project project;
    private final Planner planner;
    private final Map<Long, Plan> known = new ConcurrentHashMap<>();

    Plans(Project project, OverscanFinder overscans) {
        this.project = project;
        this.planner = new Planner(project, overscans);
    }

    public Project project() {
        return project;
    }

    /** The planner, for everything but plans of frames. */
    public Planner planner() {
        return planner;
    }

    /** The plan of a frame if it is known. */
    public Optional<Plan> known(long frame) {
        return Optional.ofNullable(known.get(frame));
    }

    /**
     * The plan of a frame, or a similar one that is available at once; to be called off the interface thread.
     */
    public Plan guess(long frame) {
        return known(frame).orElseGet(() -> planner.guess(frame));
    }

    /**
     * The plan of a frame; to be called off the interface thread.
     *
     * @throws ivrik.core.threads.CancelledException if cancelled
     */
    public Plan of(long frame, Cancellation cancel) {
        Plan plan = known.get(frame);
        if (plan == null) {
            plan = planner.plan(Rational.of(frame), cancel);
            known.put(frame, plan);
        }
        return plan;
    }
}
