package ivrik.app.session;

import ivrik.core.look.Amounts;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.project.Anchors;
import ivrik.core.project.Arrange;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** Looks laid on the selected layer: in the place of the one on the desk, or as one more. */
public final class Laying {
    private final Session session;
    private final View view;

    /** A look that stands elsewhere too: nothing of it is lost if another takes its place. */
    private Look safe;

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

    /**
     * How a look is laid where nobody says: in the place of the one on the desk if that does nothing or stands elsewhere as
     * it is, else over it, so that no work is lost.
     */
    public How gently() {
        Look now = session.state().look().orElse(null);
        return now == null || now.equals(safe) || isAtRest(now) ? How.INSTEAD : How.OVER;
    }

    /** The look on the desk, as it is now, stands elsewhere too: on the shelf, or among those kept. */
    public void safe() {
        safe = session.state().look().orElse(null);
    }

    private static boolean isAtRest(Look look) {
        return look.steps().stream()
                .allMatch(
                        s ->
                                s.lanes().stream()
                                        .allMatch(Amounts.atRest(s.kind().description())::equals));
    }

    /** Lays a look, has it on the desk, shows its dials, and says what became of what was there. */
    public void lay(Look look, How how) {
        String id = session.state().layer().map(Layer::freeLookId).orElse("");
        Optional<Look> before = session.state().look();
        session.edit(how.word + look.shownName(), change(look, how));
        before.filter(b -> !isAtRest(b))
                .ifPresent(
                        b ->
                                view.notice.set(
                                        look.shownName()
                                                + (how == How.INSTEAD
                                                        ? " is in the place of "
                                                        : " lies over ")
                                                + b.shownName()
                                                + "; undo takes it back"));
        if (how != How.INSTEAD) {
            session.selectLook(id);
        }
        safe();
        if (!look.dials().isEmpty()) {
            view.closeUpShown.set(true);
            view.face.set(View.Face.LOOK);
        }
    }
}
