package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.look.ModelChange;
import ivrik.core.separation.Separation;

/** Changes the colour model of the selected look. */
public final class SeparationChange {
    private SeparationChange() {}

    /** Changes the colour model in one undo step, and reports settings that are kept for the former model. */
    public static void change(Session session, View view, Separation model) {
        Look look = session.state().look().orElse(null);
        if (look == null || look.separation().equals(model.id())) {
            return;
        }
        ModelChange change = ModelChange.of(look, model);
        session.editLook("Separate " + model.title(), l -> change.look());
        if (!change.kept().isEmpty()) {
            view.notice.set(
                    "Kept for "
                            + look.model().title()
                            + ": "
                            + String.join(", ", change.kept())
                            + ". The settings return with that separation");
        }
    }
}
