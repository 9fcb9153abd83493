package ivrik.app.shell;

import ivrik.app.session.LatestTask;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.ProjectEdits;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.render.Planner;
import ivrik.core.render.SequenceCrop;
import ivrik.core.separation.Ink;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Set;

/** Adds layers, and changes the sequence. */
final class LayerActions {
    private static final Ink FIRST_COLOUR = Ink.parse("20242c");

    private final Session session;
    private final View view;
    private final LatestTask work = new LatestTask();

    LayerActions(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** Adds a title as the top layer, from a frame to the end. */
    void newTitle(long frame) {
        Project project = session.project();
        Source title =
                Source.of(
                        ProjectEdits.freeSourceId(project, "title"),
                        Title.EMPTY.withText("TITLE"),
                        project.sequence().size());
        over("Add title", title, Math.min(frame, ProjectEdits.end(project) - 1));
    }

    /** Adds a solid colour as the bottom layer. */
    void newPlainColour() {
        Project project = session.project();
        Source solid =
                Source.solid(
                        ProjectEdits.freeSourceId(project, "solid colour"),
                        FIRST_COLOUR,
                        project.sequence().size());
        session.edit("Add solid colour", p -> ProjectEdits.under(p, solid));
        show(session.project().layers().getFirst());
    }

    /** Adds a source of the project as the top layer, from the first frame on. */
    void addOnTop(Source source) {
        over("Add " + source.name() + " on top", source, 0);
    }

    /** Adds a span as the top layer, over the play range. */
    void newSpan() {
        span(List.of(session.project().played()));
    }

    /** Adds spans as the top layer, one per selected shot, or over the present shot. */
    void newSpanOverShots() {
        List<FrameRange> selected =
                session.project().layers().stream()
                        .flatMap(
                                l ->
                                        l.clips().stream()
                                                .filter(
                                                        c ->
                                                                view.selectedShots
                                                                        .get()
                                                                        .contains(
                                                                                new View.ShotId(
                                                                                        l.id(),
                                                                                        c.id()))))
                        .map(LayerActions::range)
                        .toList();
        List<FrameRange> shown =
                session.state().layer().flatMap(l -> l.clipAt(view.frame.get())).stream()
                        .map(LayerActions::range)
                        .toList();
        if (!selected.isEmpty() || !shown.isEmpty()) {
            span(selected.isEmpty() ? shown : selected);
            view.selectedShots.set(Set.of());
        }
    }

    /** Adds a look for the selected shots of the layer, or the present shot. */
    void newLookForShots() {
        Layer layer = session.state().layer().orElseThrow();
        List<String> selected =
                view.selectedShots.get().stream()
                        .filter(s -> s.layer().equals(layer.id()))
                        .map(View.ShotId::clip)
                        .toList();
        List<String> shown = layer.clipAt(view.frame.get()).map(Clip::id).stream().toList();
        List<String> shots = selected.isEmpty() ? shown : selected;
        if (shots.isEmpty()) {
            view.notice.set(layer.name() + " has no shot at this frame");
            return;
        }
        String id = layer.freeLookId();
        int last = layer.looks().size() - 1;
        session.editLayer("Add look for shots", l -> ProjectEdits.withNewLook(l, id, last, shots));
        session.selectLook(id);
        view.selectedShots.set(Set.of());
        view.notice.set(
                shots.size() == 1
                        ? "Look added for 1 shot"
                        : "Look added for " + shots.size() + " shots");
    }

    private static FrameRange range(Clip shot) {
        return new FrameRange(shot.start(), shot.end() - 1);
    }

    private void span(List<FrameRange> ranges) {
        session.edit("Add span", p -> ProjectEdits.spanned(p, ranges));
        session.selectLayer(session.project().layers().getLast().id());
        view.face.set(Face.TREATMENT);
        view.notice.set("Span added: its looks apply to all layers below");
    }

    private void over(String name, Source source, long start) {
        session.edit(name, p -> ProjectEdits.over(p, source, start));
        show(session.project().layers().getLast());
    }

    private void show(Layer layer) {
        session.selectLayer(layer.id());
        view.controlsShown.set(true);
        view.face.set(Face.LAYER);
    }

    /** Crops the sequence to the area that the selected look leaves covered in all frames. */
    void trim() {
        Layer layer = session.state().layer().orElseThrow();
        LayerLook look = session.state().layerLook().orElseThrow();
        Planner planner = session.plans().planner();
        work.ask(cancel -> planner.demanded(layer, look, cancel).covered(), this::trim);
    }

    private void trim(ValidRegion covered) {
        if (covered.equals(ValidRegion.all(session.project().sequence().size()))) {
            view.notice.set("Nothing to crop: no edge is uncovered");
            return;
        }
        session.edit("Crop sequence", p -> SequenceCrop.to(p, covered));
    }
}
