package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.project.Anchors;
import ivrik.core.project.Arrange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;

import java.util.function.UnaryOperator;

/** Looks laid on the selected layer: in the place of the one on the desk, or as one more. */
public final class Laying {
    private final Session session;
    private final View view;

    public Laying(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** How it is laid. */
    public enum How {
        /** In the place of the one on the desk. */
        INSTEAD("Use "),
        /** After the one on the desk. */
        OVER("Lay over "),
        /** Before all others. */
        FIRST("Lay first ");

        private final String word;

        How(String word) {
            this.word = word;
        }
    }

    /** What laying a look makes of the project; its bursts stand on what is near the present frame. */
    public UnaryOperator<Project> change(Look look, How how) {
        UnaryOperator<Look> standing = old -> Anchors.standing(look, near());
        if (how == How.INSTEAD) {
            return session.lookChange(standing);
        }
        int at = how == How.FIRST ? 0 : session.state().lookNumber() + 1;
        return project ->
                session.state()
                        .layer()
                        .map(
                                layer ->
                                        project.withLayer(
                                                layer.id(),
                                                l ->
                                                        Arrange.withNewLook(
                                                                        l, l.freeLookId(), at - 1)
                                                                .withLook(at, standing)))
                        .orElse(project);
    }

    private Anchor near() {
        return session.state()
                .layer()
                .map(l -> Anchors.near(session.project(), l, view.frame.get()))
                .orElse(new Anchor.AtFrame(0));
    }

    /** Lays a look, has it on the desk, and shows its dials. */
    public void lay(Look look, How how) {
        String id = session.state().layer().map(Layer::freeLookId).orElse("");
        session.edit(how.word + look.shownName(), change(look, how));
        if (how != How.INSTEAD) {
            session.selectLook(id);
        }
        if (!look.dials().isEmpty()) {
            view.closeUpShown.set(true);
            view.face.set(View.Face.LOOK);
        }
    }
}
