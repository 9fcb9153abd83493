package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.LookParts;
import ivrik.core.look.LookParts.Part;

/** A look that is remembered, to be put on other layers and spans as a whole or in part. */
public final class LookCopy {
    private final Session session;
    private final View view;
    private Look copied;

    public LookCopy(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** Remembers the look on the desk. */
    public void copy() {
        copied = session.state().look().orElseThrow();
        view.notice.set(copied.shownName() + " is copied");
    }

    public boolean canPaste() {
        return copied != null && session.state().look().isPresent();
    }

    /** Has it done in place of the look on the desk. */
    public void paste() {
        session.editLook("Paste the look " + copied.shownName(), l -> copied);
    }

    /** Puts a part of it into the look on the desk. */
    public void paste(Part part) {
        session.editLook(
                "Paste of the look: " + part.title(), l -> LookParts.pasted(l, copied, part));
    }
}
