package ivrik.app.session;

import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.project.BurstAnchors;
import ivrik.core.project.Layer;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectEdits;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Applies looks to the selected layer: in place of the selected look, or in addition. */
public final class LookApplication {
    private final Session session;
    private final View view;

    /** A look that is also stored elsewhere and may be replaced without loss. */
    private Look safe;

    public LookApplication(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** Where a look is applied. */
    public enum How {
        /** In place of the selected look. */
        INSTEAD("Apply "),
        /** After the selected look. */
        OVER("Add on top: "),
        /** Before all looks. */
        FIRST("Add first: ");

        private final String prefix;

        How(String prefix) {
            this.prefix = prefix;
        }
    }

    /** The edit that applies a look; its bursts are anchored near the present frame. */
    public UnaryOperator<Project> change(Look look, How how) {
        return change(look, how, List.of());
    }

    private UnaryOperator<Project> change(Look look, How how, List<String> shots) {
        UnaryOperator<Look> standing = old -> BurstAnchors.standing(look, near());
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
                                                layer.id(), l -> added(l, at, standing, shots)))
                        .orElse(project);
    }

    private static Layer added(Layer layer, int at, UnaryOperator<Look> look, List<String> shots) {
        return ProjectEdits.withNewLook(layer, layer.freeLookId(), at - 1, shots)
                .withLook(at, look);
    }

    private Anchor near() {
        return session.state()
                .layer()
                .map(l -> BurstAnchors.near(session.project(), l, view.frame.get()))
                .orElse(new Anchor.AtFrame(0));
    }

    /**
     * The default: replaces the selected look if that has no effect or is stored elsewhere unchanged;
     * otherwise adds the look after it, so that no work is lost.
     */
    public How gently() {
        Look now = session.state().look().orElse(null);
        return now == null || now.equals(safe) || isAtRest(now) ? How.INSTEAD : How.OVER;
    }

    /**
     * Records that the selected look is also stored elsewhere: built in, or in the user's looks.
     */
    public void safe() {
        safe = session.state().look().orElse(null);
    }

    private static boolean isAtRest(Look look) {
        return look.steps().stream()
                .allMatch(
                        s ->
                                s.channels().stream()
                                        .allMatch(
                                                ChannelSettings.atRest(s.kind().description())
                                                        ::equals));
    }

    /**
     * Applies a look, selects it, shows its dials, and reports what happened to the previous one.
     */
    public void apply(Look look, How how) {
        apply(look, how, List.of());
    }

    /**
     * Applies a look to shots of the layer.
     *
     * @param shots ids of clips; empty for all shots
     */
    public void apply(Look look, How how, List<String> shots) {
        String id = session.state().layer().map(Layer::freeLookId).orElse("");
        Optional<Look> before = session.state().look();
        session.edit(how.prefix + look.displayName(), change(look, how, shots));
        before.filter(b -> !isAtRest(b))
                .ifPresent(
                        b ->
                                view.notice.set(
                                        look.displayName()
                                                + (how == How.INSTEAD
                                                        ? " replaced "
                                                        : " was added on top of ")
                                                + b.displayName()
                                                + ". Undo reverts this"));
        if (how != How.INSTEAD) {
            session.selectLook(id);
        }
        safe();
        if (!look.dials().isEmpty()) {
            view.controlsShown.set(true);
            view.face.set(View.Face.LOOK);
        }
    }
}
