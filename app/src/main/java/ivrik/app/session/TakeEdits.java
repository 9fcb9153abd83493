package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.project.Layer;
import ivrik.core.project.Take;
import ivrik.core.project.Takes;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** The takes of the selected layer: kept, laid, named, picked and thrown out. */
public final class TakeEdits {
    private final Session session;
    private final View view;

    public TakeEdits(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** What is done on the layer now becomes a take, if it is none yet. */
    public void keep() {
        Layer layer = session.state().layer().orElseThrow();
        Optional<Take> already = Takes.now(layer);
        if (already.isPresent()) {
            view.notice.set("This is kept already, as " + already.get().name());
            return;
        }
        keep(Takes.nextName(layer), l -> l);
    }

    /**
     * Keeps what a change makes of what is done on the layer; that itself stays as it is.
     *
     * @param change of the look on the desk
     */
    public void keep(String name, UnaryOperator<Look> change) {
        int look = session.state().lookNumber();
        session.editLayer(
                "Keep " + name, l -> Takes.kept(l, name, l.withLook(look, change).looks()));
        view.notice.set(name + " is kept as a take; Shift+T shows all");
    }

    /** Has it done on the layer in place of what is. */
    public void lay(Take take) {
        session.editLayer("Lay " + take.name(), l -> Takes.laid(l, take));
    }

    /** Another name; what is empty is none. */
    public void rename(String id, String name) {
        if (!name.isBlank()) {
            edit("Name the take", id, t -> t.withName(name.strip()));
        }
    }

    /** Whether it is among those that are exported together. */
    public void pick(String id, boolean picked) {
        edit(picked ? "Pick the take" : "Leave the take", id, t -> t.withPicked(picked));
    }

    public void remove(String id) {
        session.editLayer(
                "Throw out the take",
                l -> l.withTakes(l.takes().stream().filter(t -> !t.id().equals(id)).toList()));
    }

    private void edit(String name, String id, UnaryOperator<Take> change) {
        session.editLayer(
                name,
                l ->
                        l.withTakes(
                                l.takes().stream()
                                        .map(t -> t.id().equals(id) ? change.apply(t) : t)
                                        .toList()));
    }
}
