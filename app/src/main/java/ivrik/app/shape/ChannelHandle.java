package ivrik.app.shape;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.look.ChannelSettings;

/** A handle of the selected treatment; a drag is one undo step. */
public abstract class ChannelHandle implements Handle {
    protected final Session session;
    protected final View view;

    /** The present drag, or null. */
    protected Session.Gesture gesture;

    protected ChannelHandle(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    protected final ChannelSettings settings(int channel) {
        return session.state().step().orElseThrow().settings(channel);
    }

    /** Settings of the selected channel. */
    protected final ChannelSettings settings() {
        return settings(ChannelEdits.share(session.state()));
    }

    @Override
    public void released() {
        gesture = null;
    }
}
