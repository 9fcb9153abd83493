package ivrik.app.session;

import ivrik.core.look.Look;
import ivrik.core.project.Layer;
import ivrik.core.project.Take;
import ivrik.core.project.Takes;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** Edits of the selected layer's takes. */
public final class TakeEdits {
    private final Session session;
    private final View view;

    public TakeEdits(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** Saves the layer's looks as a take, unless they equal one. */
    public void save() {
        Layer layer = session.state().layer().orElseThrow();
        Optional<Take> already = Takes.now(layer);
        if (already.isPresent()) {
            view.notice.set("Already saved as " + already.get().name());
            return;
        }
        save(Takes.nextName(layer), l -> l);
    }

    /**
     * Saves a changed copy of the layer's looks as a take.
     *
     * @param change change of the selected look
     */
    public void save(String name, UnaryOperator<Look> change) {
        int look = session.state().lookNumber();
        session.editLayer(
                "Save take " + name,
                l -> Takes.withTake(l, name, l.withLook(look, change).looks()));
        view.notice.set("Saved as take: " + name + ". Shift+T shows all takes");
    }

    /** Applies a take to the layer. */
    public void apply(Take take) {
        session.editLayer("Apply take " + take.name(), l -> Takes.applied(l, take));
    }

    /** Renames a take; an empty name is ignored. */
    public void rename(String id, String name) {
        if (!name.isBlank()) {
            edit("Rename take", id, t -> t.withName(name.strip()));
        }
    }

    /** Marks a take for export. */
    public void mark(String id, boolean selected) {
        edit(
                selected ? "Mark take for export" : "Unmark take for export",
                id,
                t -> t.withMarkedForExport(selected));
    }

    public void remove(String id) {
        session.editLayer(
                "Delete take",
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
