package ivrik.app.session;

import ivrik.core.motion.Rational;
import ivrik.core.project.Project;
import ivrik.core.render.Overscans;
import ivrik.core.render.Plan;
import ivrik.core.render.Planner;
import ivrik.core.threads.Cancel;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The plans of one project's frames, each worked out once, off the interface thread; which of them are
 * known can be asked anywhere. Safe for many threads.
 */
public final class Plans {
    private final Project project;
    private final Planner planner;
    private final Map<Long, Plan> known = new ConcurrentHashMap<>();

    Plans(Project project, Overscans overscans) {
        this.project = project;
        this.planner = new Planner(project, overscans);
    }

    public Project project() {
        return project;
    }

    /** For what is not the plan of a frame. */
    public Planner planner() {
        return planner;
    }

    /** The plan of a frame if it is known already. */
    public Optional<Plan> known(long frame) {
        return Optional.ofNullable(known.get(frame));
    }

    /** The plan of a frame, or one much like it that can be had at once; off the interface thread. */
    public Plan guess(long frame) {
        return known(frame).orElseGet(() -> planner.guess(frame));
    }

    /**
     * The plan of a frame; to be asked off the interface thread.
     *
     * @throws ivrik.core.threads.CancelledException when {@code cancel} says so
     */
    public Plan of(long frame, Cancel cancel) {
        Plan plan = known.get(frame);
        if (plan == null) {
            plan = planner.plan(Rational.of(frame), cancel);
            known.put(frame, plan);
        }
        return plan;
    }
}
