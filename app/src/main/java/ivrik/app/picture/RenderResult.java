package ivrik.app.picture;

import ivrik.app.session.View.Show;
import ivrik.core.measure.Misregistration;
import ivrik.core.render.Plan;

import java.util.Map;

/**
 * What was rendered.
 *
 * @param register null after the first, reduced pass
 * @param missed whether the mask of the selected look is empty in this frame
 * @param faults errors by source id
 * @param failure why there is no picture and no plan; empty if there is one
 */
public record RenderResult(
        RenderRequest request,
        Plan plan,
        Map<Show, ShownFrame> shown,
        Misregistration register,
        boolean missed,
        Map<String, SourceFault> faults,
        String failure) {
    RenderResult(
            RenderRequest request,
            Plan plan,
            Map<Show, ShownFrame> shown,
            Misregistration register,
            boolean missed,
            Map<String, SourceFault> faults) {
        this(request, plan, shown, register, missed, faults, "");
    }

    static RenderResult failed(RenderRequest request, String why) {
        return new RenderResult(request, null, Map.of(), null, false, Map.of(), why);
    }

    public boolean isFailed() {
        return !failure.isEmpty();
    }
}
