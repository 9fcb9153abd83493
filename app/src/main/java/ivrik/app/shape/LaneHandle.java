package ivrik.app.shape;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.Amounts;

/** A handle on what the selected treatment does to the lanes; a drag is one step. */
public abstract class LaneHandle implements Handle {
    protected final Session session;
    protected final View view;

    /** The drag under way, or null. */
    protected Session.Gesture gesture;

    protected LaneHandle(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    protected final Amounts amounts(int lane) {
        return session.state().step().orElseThrow().amounts(lane);
    }

    /** Of the lane being worked on. */
    protected final Amounts amounts() {
        return amounts(LaneEdits.share(session.state()));
    }

    @Override
    public void released() {
        gesture = null;
    }
}
