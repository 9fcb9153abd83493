package ivrik.app.session;

import ivrik.core.motion.Rational;
import ivrik.core.render.LookPlanner;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Settings;

import java.util.Optional;

/** Values of the selected look at a frame, with dials, bursts and jitter. */
public final class CurrentValues {
    private CurrentValues() {}

    /** Empty without a look. */
    public static Optional<LookPlanner> at(Session session, long frame) {
        return of(session.state(), session.plans().planner(), frame);
    }

    /** The selected treatment's values in a channel; empty if there is none. */
    public static Optional<Settings> settings(Session session, int channel, long frame) {
        return session.state()
                .step()
                .flatMap(step -> at(session, frame).map(p -> p.settings(step, channel)));
    }

    static Optional<LookPlanner> of(State state, Planner planner, long frame) {
        return state.layer()
                .map(
                        layer ->
                                Planner.planner(
                                        layer,
                                        layer.looks().get(state.lookNumber()),
                                        planner.instant(layer, Rational.of(frame))));
    }
}
