package ivrik.app.shell;

import ivrik.app.session.Newest;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.core.look.Lists;
import ivrik.core.project.Arrange;
import ivrik.core.project.Clip;
import ivrik.core.project.FrameRange;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.render.Planner;
import ivrik.core.render.Trim;
import ivrik.core.separation.Ink;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Set;

/** New layers, and what concerns the sequence as a whole. */
final class LayerWork {
    private static final Ink FIRST_COLOUR = Ink.parse("20242c");

    private final Session session;
    private final View view;
    private final Newest work = new Newest();

    LayerWork(Session session, View view) {
        this.session = session;
        this.view = view;
    }

    /** A title over all, from a frame to the end. */
    void newTitle(long frame) {
        Project project = session.project();
        Source title =
                Source.of(
                        Arrange.freeSourceId(project, "title"),
                        Title.EMPTY.withText("TITLE"),
                        project.sequence().size());
        over("New title", title, Math.min(frame, Arrange.end(project) - 1));
    }

    /** One colour under all. */
    void newPlainColour() {
        Project project = session.project();
        Source solid =
                Source.solid(
                        Arrange.freeSourceId(project, "plain colour"),
                        FIRST_COLOUR,
                        project.sequence().size());
        session.edit("New plain colour", p -> Arrange.under(p, solid));
        show(session.project().layers().getFirst());
    }

    /** A source that is listed, over all, from the first frame on. */
    void layOver(Source source) {
        over("Lay " + source.name() + " over all", source, 0);
    }

    /** A span over all, as long as what is played. */
    void newSpan() {
        span(List.of(session.project().played()));
    }

    /** Spans over all, as long as the shots that are picked; of none, as the one that is shown. */
    void newSpanOverShots() {
        List<FrameRange> picked =
                session.project().layers().stream()
                        .flatMap(
                                l ->
                                        l.clips().stream()
                                                .filter(
                                                        c ->
                                                                view.pickedShots
                                                                        .get()
                                                                        .contains(
                                                                                new View.Shot(
                                                                                        l.id(),
                                                                                        c.id()))))
                        .map(LayerWork::range)
                        .toList();
        List<FrameRange> shown =
                session.state().layer().flatMap(l -> l.clipAt(view.frame.get())).stream()
                        .map(LayerWork::range)
                        .toList();
        if (!picked.isEmpty() || !shown.isEmpty()) {
            span(picked.isEmpty() ? shown : picked);
            view.pickedShots.set(Set.of());
        }
    }

    /** A look more, for the shot that is shown, or for those of its layer that are picked. */
    void newLookForShots() {
        Layer layer = session.state().layer().orElseThrow();
        List<String> picked =
                view.pickedShots.get().stream()
                        .filter(s -> s.layer().equals(layer.id()))
                        .map(View.Shot::clip)
                        .toList();
        List<String> shown = layer.clipAt(view.frame.get()).map(Clip::id).stream().toList();
        List<String> shots = picked.isEmpty() ? shown : picked;
        if (shots.isEmpty()) {
            view.notice.set(layer.name() + " shows no shot at this frame");
            return;
        }
        String id = layer.freeLookId();
        int last = layer.looks().size() - 1;
        session.editLayer(
                "Look for a shot",
                l -> {
                    Layer more = Arrange.withNewLook(l, id, last);
                    LayerLook own = more.looks().getLast().withShots(shots);
                    return more.withLooks(Lists.with(more.looks(), last + 1, own));
                });
        session.selectLook(id);
        view.pickedShots.set(Set.of());
        view.notice.set(
                shots.size() == 1
                        ? "This look is for one shot"
                        : "This look is for " + shots.size() + " shots");
    }

    private static FrameRange range(Clip shot) {
        return new FrameRange(shot.start(), shot.end() - 1);
    }

    private void span(List<FrameRange> ranges) {
        session.edit("New span", p -> Arrange.spanned(p, ranges));
        session.selectLayer(session.project().layers().getLast().id());
        view.face.set(Face.TREATMENT);
    }

    private void over(String name, Source source, long start) {
        session.edit(name, p -> Arrange.over(p, source, start));
        show(session.project().layers().getLast());
    }

    private void show(Layer layer) {
        session.selectLayer(layer.id());
        view.closeUpShown.set(true);
        view.face.set(Face.LAYER);
    }

    /** Crops the sequence to what the moves of the look on the desk leave covered at all times. */
    void trim() {
        Layer layer = session.state().layer().orElseThrow();
        LayerLook look = session.state().layerLook().orElseThrow();
        Planner planner = session.plans().planner();
        work.ask(cancel -> planner.demanded(layer, look, cancel).covered(), this::trim);
    }

    private void trim(ValidRegion covered) {
        if (covered.equals(ValidRegion.all(session.project().sequence().size()))) {
            view.notice.set("Nothing to trim: no edge is uncovered");
            return;
        }
        session.edit("Trim the sequence", p -> Trim.to(p, covered));
    }
}
