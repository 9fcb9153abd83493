package ivrik.app.session;

import ivrik.core.look.ChannelCopy;
import ivrik.core.look.Look;
import ivrik.core.look.LookParts;
import ivrik.core.look.LookParts.Part;
import ivrik.core.render.Planner;

/** A copied look, to be pasted as a whole or in part. Its random movements stay as they are. */
public final class LookCopy {
    private final Session session;
    private final View view;
    private Look copied;

    public LookCopy(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** Copies the selected look. */
    public void copy() {
        State state = session.state();
        String place = Planner.place(state.layer().orElseThrow(), state.layerLook().orElseThrow());
        copied = ChannelCopy.withOrigins(state.look().orElseThrow(), place);
        view.notice.set("Look copied: " + copied.displayName());
    }

    public boolean canPaste() {
        return copied != null && session.state().look().isPresent();
    }

    /** Replaces the selected look. */
    public void paste() {
        session.editLook("Paste look " + copied.displayName(), l -> copied);
    }

    /** Pastes a part into the selected look. */
    public void paste(Part part) {
        session.editLook(
                "Paste from look: " + part.title(), l -> LookParts.pasted(l, copied, part));
    }
}
