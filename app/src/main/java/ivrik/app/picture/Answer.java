package ivrik.app.picture;

import ivrik.app.session.View.Show;
import ivrik.core.measure.Register;
import ivrik.core.render.Plan;

import java.util.Map;

/**
 * What was rendered.
 *
 * @param register null after the quick pass
 * @param missed whether the look on the desk reaches nothing of this frame
 * @param faults by source id, what keeps a source from being shown in this frame
 * @param failure why there is no picture at all, and no plan; empty if there is one
 */
public record Answer(
        Request request,
        Plan plan,
        Map<Show, Shown> shown,
        Register register,
        boolean missed,
        Map<String, Fault> faults,
        String failure) {
    Answer(
            Request request,
            Plan plan,
            Map<Show, Shown> shown,
            Register register,
            boolean missed,
            Map<String, Fault> faults) {
        this(request, plan, shown, register, missed, faults, "");
    }

    static Answer failed(Request request, String why) {
        return new Answer(request, null, Map.of(), null, false, Map.of(), why);
    }

    public boolean isFailed() {
        return !failure.isEmpty();
    }
}
