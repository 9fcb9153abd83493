package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.ModelChange;
import ivrik.core.separation.Separation;

/** Another colour model for the look on the desk. */
public final class Models {
    private Models() {}

    /** One undo step; says what was put to rest because it has no counterpart. */
    public static void change(Session session, View view, Separation model) {
        Look look = session.state().look().orElse(null);
        if (look == null || look.separation().equals(model.id())) {
            return;
        }
        ModelChange change = ModelChange.of(look, model);
        session.editLook("Separate " + model.title(), l -> change.look());
        if (!change.dropped().isEmpty()) {
            boolean one = change.dropped().size() == 1;
            view.notice.set(
                    String.join(", ", change.dropped())
                            + ": "
                            + model.title()
                            + " has nothing like "
                            + (one ? "it, and it is" : "them, and they are")
                            + " let go; undo brings "
                            + (one ? "it" : "them")
                            + " back");
        }
    }
}
