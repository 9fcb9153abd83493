package ivrik.app.shell;

import ivrik.app.session.Newest;
import ivrik.app.session.Session;
import ivrik.app.session.View;
import ivrik.app.session.View.Face;
import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Lists;
import ivrik.core.project.Clip;
import ivrik.core.project.Layer;
import ivrik.core.project.LayerLook;
import ivrik.core.project.Project;
import ivrik.core.project.Source;
import ivrik.core.project.Title;
import ivrik.core.render.Planner;
import ivrik.core.render.Trim;
import ivrik.core.separation.Ink;
import ivrik.core.treatment.ValidRegion;
import ivrik.media.decode.Import;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** New layers, and what concerns the sequence as a whole. */
final class LayerWork {
    private static final double STILL_SECONDS = 4;
    private static final Ink FIRST_SOLID = Ink.parse("20242c");

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
                        free("title", n -> project.source(n).isPresent()),
                        Title.EMPTY.withText("TITLE"),
                        project.sequence().size());
        add("New title", title, Math.min(frame, end(project) - 1), true);
    }

    /** One colour under all. */
    void newSolid() {
        Project project = session.project();
        Source solid =
                Source.solid(
                        free("solid", n -> project.source(n).isPresent()),
                        FIRST_SOLID,
                        project.sequence().size());
        add("New solid", solid, 0, false);
    }

    /** A source that is listed, over all, from the first frame on. */
    void layOver(Source source) {
        add("Lay " + source.name() + " over all", source, 0, true);
    }

    private void add(String name, Source source, long start, boolean over) {
        Project project = session.project();
        long length =
                source.kind().isStill()
                        ? end(project) - start
                        : Import.length(source, project.sequence());
        Layer layer =
                Layer.of(
                        free(source.id(), n -> project.layer(n).isPresent()),
                        source.name(),
                        BuiltInLooks.named("in-register"),
                        new Clip(source.id(), start, length, 0));
        session.edit(
                name,
                p -> {
                    List<Layer> layers =
                            over
                                    ? Lists.plus(p.layers(), layer)
                                    : IntStream.rangeClosed(0, p.layers().size())
                                            .mapToObj(i -> i == 0 ? layer : p.layers().get(i - 1))
                                            .toList();
                    return p.withSource(source).withLayers(layers);
                });
        session.selectLayer(layer.id());
        view.closeUpShown.set(true);
        view.face.set(Face.LAYER);
    }

    private static long end(Project project) {
        return project.layers().isEmpty()
                ? Math.round(STILL_SECONDS * project.sequence().rate().toDouble())
                : project.frames();
    }

    /** The name, with a number behind it if it is taken. */
    private static String free(String name, Predicate<String> taken) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> n == 1 ? name : name + " " + n)
                .filter(taken.negate())
                .findFirst()
                .orElseThrow();
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
