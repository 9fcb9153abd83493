package ivrik.core.look;

import ivrik.core.picture.EdgeFill;
import ivrik.core.picture.Sampler;
import ivrik.core.treatment.Treatment;
import ivrik.core.treatment.Treatments;

import java.util.Collections;
import java.util.List;
import java.util.function.UnaryOperator;

/** One treatment in a look: which, whether it is on, how it looks outside, and each lane's amounts. */
public record Step(
        String treatment, boolean on, EdgeFill edgeFill, Sampler sampler, List<Amounts> lanes) {
    public Step {
        lanes = List.copyOf(lanes);
    }

    public static Step atRest(Treatment treatment, int lanes) {
        return new Step(
                treatment.description().id(),
                true,
                EdgeFill.REPEAT,
                Sampler.GOOD,
                Collections.nCopies(lanes, Amounts.atRest(treatment.description())));
    }

    public Treatment kind() {
        return Treatments.named(treatment);
    }

    public Step withLane(int lane, UnaryOperator<Amounts> change) {
        return new Step(
                treatment,
                on,
                edgeFill,
                sampler,
                Lists.with(lanes, lane, change.apply(lanes.get(lane))));
    }

    public Step withOn(boolean o) {
        return new Step(treatment, o, edgeFill, sampler, lanes);
    }

    public Step withEdgeFill(EdgeFill fill) {
        return new Step(treatment, on, fill, sampler, lanes);
    }

    public Step withSampler(Sampler s) {
        return new Step(treatment, on, edgeFill, s, lanes);
    }
}
