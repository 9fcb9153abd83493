package ivrik.app.shell;

import ivrik.app.session.ChannelEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.core.look.Burst;
import ivrik.core.look.BurstEdits;
import ivrik.core.look.ChannelSettings;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Jitter;
import ivrik.core.project.BurstAnchors;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Commands for the bursts of the selected look. */
final class BurstActions {
    private final Session session;
    private final View view;

    BurstActions(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    boolean any() {
        return session.state().burst().isPresent();
    }

    /**
     * Adds a burst of the selected treatment, anchored to a nearby cut or marker, or to this frame.
     */
    void add() {
        Look look = session.state().look().orElseThrow();
        Anchor anchor =
                BurstAnchors.near(
                        session.project(), session.state().layer().orElseThrow(), view.frame.get());
        Burst burst = BurstEdits.of(look, anchor, session.state().step());
        session.editLook("Add burst", l -> l.withBurst(burst));
        select(burst.id());
    }

    private void select(String id) {
        session.selectBurst(id);
        view.controlsShown.set(true);
        view.face.set(Face.BURST);
    }

    /** Selects the next burst. */
    void next() {
        List<Burst> all = session.state().look().map(Look::bursts).orElse(List.of());
        int now = session.state().burst().map(all::indexOf).orElse(-1);
        boolean shown = view.face.get() == Face.BURST;
        select(all.get(shown ? (now + 1) % all.size() : now).id());
    }

    /** Lengthens or shortens the selected burst on both sides. */
    void widen(int by) {
        Burst burst = session.state().burst().orElseThrow();
        session.editLook(
                by < 0 ? "Shorten burst" : "Lengthen burst",
                l -> l.withBurst(BurstEdits.widened(burst, by)));
    }

    /** Draws a new seed: of the shown burst, or of the selected channel in the treatment. */
    void anotherSeed() {
        Optional<Burst> burst = session.state().burst().filter(b -> view.face.get() == Face.BURST);
        if (burst.isPresent()) {
            session.editLook(
                    "New seed", l -> l.withBurst(burst.get().withSeed(burst.get().seed() + 1)));
            return;
        }
        String step = session.state().stepId();
        int channel = ChannelEdits.share(session.state());
        if (!step.isEmpty()) {
            session.editLook(
                    "New seed", l -> l.withSettings(step, channel, BurstActions::reseeded));
        }
    }

    private static ChannelSettings reseeded(ChannelSettings settings) {
        Map<String, Jitter> own = new TreeMap<>(settings.jitters());
        own.replaceAll((name, jitter) -> jitter.withSeed(jitter.seed() + 1));
        Jitter jitter = settings.jitter();
        return settings.withJitter(jitter.withSeed(jitter.seed() + 1))
                .withJitters(own)
                .withSeed(settings.seed() + 1);
    }
}
