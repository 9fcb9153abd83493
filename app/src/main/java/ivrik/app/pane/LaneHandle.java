package ivrik.app.pane;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Amounts;

/** A handle on what the selected treatment does to the lanes; a drag is one step. */
abstract class LaneHandle implements Handle {
    final Session session;
    final View view;

    /** The drag under way, or null. */
    Session.Gesture gesture;

    LaneHandle(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    final Amounts amounts(int lane) {
        return session.state().step().orElseThrow().amounts(lane);
    }

    /** Of the lane being worked on. */
    final Amounts amounts() {
        return amounts(session.state().lane());
    }

    @Override
    public void released() {
        gesture = null;
    }
}
