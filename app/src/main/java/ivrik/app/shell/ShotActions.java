package ivrik.app.shell;

import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.ShotEdits;

import java.util.Optional;
import java.util.function.BiFunction;

/** Commands for the selected layer's shot at the present frame. */
final class ShotActions {
    private final Session session;
    private final View view;

    ShotActions(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    private Optional<Clip> shot() {
        return session.state().layer().flatMap(l -> l.clipAt(view.frame.get()));
    }

    boolean any() {
        return shot().isPresent();
    }

    private void edit(String name, BiFunction<ShotEdits, Clip, Layer> change) {
        Clip shot = shot().orElseThrow();
        Layer layer = session.state().layer().orElseThrow();
        ShotEdits edits = new ShotEdits(session.project(), layer);
        String source = session.project().source(shot.source()).map(s -> s.name()).orElse("shot");
        session.editLayer(name + " " + source, l -> change.apply(edits, shot));
        view.frame.set(Math.min(view.frame.get(), session.project().frames() - 1));
    }

    void split() {
        edit("Split", (e, shot) -> e.split(view.frame.get()));
    }

    void remove(boolean closing) {
        edit("Delete", (e, shot) -> e.without(shot.id(), closing));
    }

    void begin() {
        edit("Trim start of", (e, shot) -> e.beginning(shot.id(), view.frame.get()));
    }

    void end() {
        edit("Trim end of", (e, shot) -> e.ending(shot.id(), view.frame.get()));
    }

    void slip(int by) {
        edit("Slip", (e, shot) -> e.slipped(shot.id(), by));
    }

    /** Exchanges the shot with its neighbour; the playhead follows. */
    void reorder(boolean later) {
        String id = shot().orElseThrow().id();
        long into = view.frame.get() - shot().orElseThrow().start();
        edit(later ? "Move later:" : "Move earlier:", (e, shot) -> e.reordered(shot.id(), later));
        session.state().layer().orElseThrow().clips().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .ifPresent(c -> view.frame.set(c.start() + into));
    }
}
