package ivrik.app.shell;

import ivrik.app.session.LaneEdits;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.core.look.Amounts;
import ivrik.core.look.Burst;
import ivrik.core.look.Bursting;
import ivrik.core.look.Look;
import ivrik.core.motion.Anchor;
import ivrik.core.motion.Jitter;
import ivrik.core.project.Anchors;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** Commands of the bursts of the look on the desk. */
final class BurstWork {
    private final Session session;
    private final View view;

    BurstWork(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    boolean any() {
        return session.state().burst().isPresent();
    }

    /** A burst of the selected treatment: on the cut or the marker that is near, else at this frame. */
    void add() {
        Look look = session.state().look().orElseThrow();
        Anchor anchor =
                Anchors.near(
                        session.project(), session.state().layer().orElseThrow(), view.frame.get());
        Burst burst = Bursting.of(look, anchor, session.state().step());
        session.editLook("New burst", l -> l.withBurst(burst));
        select(burst.id());
    }

    private void select(String id) {
        session.selectBurst(id);
        view.closeUpShown.set(true);
        view.face.set(Face.BURST);
    }

    /** Selects the burst after the selected one. */
    void next() {
        List<Burst> all = session.state().look().map(Look::bursts).orElse(List.of());
        int now = session.state().burst().map(all::indexOf).orElse(-1);
        boolean shown = view.face.get() == Face.BURST;
        select(all.get(shown ? (now + 1) % all.size() : now).id());
    }

    /** Makes the selected burst longer or shorter on both sides of its anchor. */
    void widen(int by) {
        Burst burst = session.state().burst().orElseThrow();
        session.editLook(
                by < 0 ? "Burst tighter" : "Burst wider",
                l -> l.withBurst(burst.withCourse(Bursting.widened(burst.course(), by))));
    }

    /** Other random numbers: of the burst that is shown, else of the lane in the selected treatment. */
    void anotherSeed() {
        Optional<Burst> burst = session.state().burst().filter(b -> view.face.get() == Face.BURST);
        if (burst.isPresent()) {
            session.editLook(
                    "Another seed", l -> l.withBurst(burst.get().withSeed(burst.get().seed() + 1)));
            return;
        }
        String step = session.state().stepId();
        int lane = LaneEdits.share(session.state());
        if (!step.isEmpty()) {
            session.editLook("Another seed", l -> l.withAmounts(step, lane, BurstWork::reseeded));
        }
    }

    private static Amounts reseeded(Amounts amounts) {
        Map<String, Jitter> own = new TreeMap<>(amounts.jitters());
        own.replaceAll((name, jitter) -> jitter.withSeed(jitter.seed() + 1));
        Jitter jitter = amounts.jitter();
        return amounts.withJitter(jitter.withSeed(jitter.seed() + 1))
                .withJitters(own)
                .withSeed(amounts.seed() + 1);
    }
}
