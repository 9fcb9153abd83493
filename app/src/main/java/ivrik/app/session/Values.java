package ivrik.app.session;

import ivrik.core.motion.Rational;
import ivrik.core.render.LookPlanner;
import ivrik.core.render.Planner;
import ivrik.core.treatment.Settings;

import java.util.Optional;

/** What the values of the look on the desk come to at a frame, dials and jitter included. */
public final class Values {
    private Values() {}

    /** Empty where there is no look. */
    public static Optional<LookPlanner> at(Session session, long frame) {
        return of(session.state(), session.plans().planner(), frame);
    }

    /** The selected treatment's numbers in a lane; empty where there is none. */
    public static Optional<Settings> settings(Session session, int lane, long frame) {
        return session.state()
                .step()
                .flatMap(step -> at(session, frame).map(p -> p.settings(step, lane)));
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
