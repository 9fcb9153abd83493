package ivrik.core.project;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.ListEdits;
import ivrik.core.look.Look;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** Edits of a project: adding, moving and removing sources, layers and looks. */
public final class ProjectEdits {
    /** Default duration of stills. */
    public static final int STILL_SECONDS = 4;

    private ProjectEdits() {}

    /** Number of sequence frames that a source fills. */
    public static long length(Source source, Sequence sequence) {
        double seconds =
                source.kind().isStill()
                        ? STILL_SECONDS
                        : source.frames() / source.rate().toDouble();
        return Math.max(1, Math.round(seconds * sequence.rate().toDouble()));
    }

    /** The name, with a number appended if it is in use. */
    static String free(String name, Predicate<String> taken) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> n == 1 ? name : name + " " + n)
                .filter(taken.negate())
                .findFirst()
                .orElseThrow();
    }

    /** An unused id for a source. */
    public static String freeSourceId(Project project, String name) {
        return free(name, n -> project.source(n).isPresent());
    }

    /**
     * Adds a source and shows it: the first source determines size and rate, later ones follow as shots, and
     * a vector graphic becomes a layer above the shots.
     */
    public static Project putOn(Project project, Source source) {
        Project listed = project.withSource(source);
        if (listed.layers().isEmpty()) {
            Sequence sequence =
                    new Sequence(
                            source.size(),
                            source.kind().isStill() ? project.sequence().rate() : source.rate());
            Clip clip = new Clip(source.id(), 0, length(source, sequence), 0);
            return listed.withSequence(sequence)
                    .withLayers(List.of(Layer.of("shots", "shots", fresh(), clip)));
        }
        if (source.kind().isDrawn()) {
            Clip clip = new Clip(source.id(), 0, listed.frames(), 0);
            Layer over = Layer.of(source.id(), source.name(), fresh(), clip);
            return listed.withLayers(ListEdits.plus(listed.layers(), over));
        }
        Layer shots = listed.layers().getFirst();
        Clip clip = new Clip(source.id(), shots.end(), length(source, listed.sequence()), 0);
        return listed.withLayer(shots.id(), l -> l.withClips(ListEdits.plus(l.clips(), clip)));
    }

    /** A look without effect. */
    private static Look fresh() {
        return BuiltInLooks.named("neutral");
    }

    /** Adds a source as the top layer, starting at a frame. */
    public static Project over(Project project, Source source, long start) {
        return project.withSource(source)
                .withLayers(ListEdits.plus(project.layers(), layer(project, source, start)));
    }

    /** Adds a span above all layers; its looks apply to everything below within a range. */
    public static Project spanned(Project project, FrameRange range) {
        return spanned(project, List.of(range));
    }

    /** Adds a layer of spans above all layers, one per range. */
    public static Project spanned(Project project, List<FrameRange> ranges) {
        Layer span =
                Layer.of(
                        free("span", n -> project.layer(n).isPresent()),
                        "span",
                        fresh(),
                        ranges.stream()
                                .map(r -> new Clip(Clip.BELOW, r.first(), r.length(), 0))
                                .toArray(Clip[]::new));
        return project.withLayers(ListEdits.plus(project.layers(), span));
    }

    /** Adds a source as the bottom layer. */
    public static Project under(Project project, Source source) {
        List<Layer> layers = new ArrayList<>(project.layers());
        layers.addFirst(layer(project, source, 0));
        return project.withSource(source).withLayers(layers);
    }

    /** A new layer with one source; stills last to the end. */
    private static Layer layer(Project project, Source source, long start) {
        long length =
                source.kind().isStill() ? end(project) - start : length(source, project.sequence());
        return Layer.of(
                free(source.id(), n -> project.layer(n).isPresent()),
                source.name(),
                fresh(),
                new Clip(source.id(), start, length, 0));
    }

    /** Frame after the last one; for a project without layers, the end of a still. */
    public static long end(Project project) {
        return project.layers().isEmpty()
                ? Math.round(STILL_SECONDS * project.sequence().rate().toDouble())
                : project.frames();
    }

    /** Removes a source, its clips, and layers that become empty. */
    public static Project without(Project project, Source source) {
        List<Source> sources =
                project.sources().stream().filter(s -> !s.id().equals(source.id())).toList();
        List<Layer> layers =
                project.layers().stream()
                        .map(l -> l.withClips(clipsWithout(l, source)))
                        .filter(l -> !l.clips().isEmpty())
                        .toList();
        return project.withSources(sources).withLayers(layers);
    }

    private static List<Clip> clipsWithout(Layer layer, Source source) {
        return layer.clips().stream().filter(c -> !c.source().equals(source.id())).toList();
    }

    /** Removes a layer; its sources stay in the project. */
    public static Project withoutLayer(Project project, String id) {
        return project.withLayers(
                project.layers().stream().filter(l -> !l.id().equals(id)).toList());
    }

    /**
     * Exchanges two layers.
     *
     * @param a index from the bottom
     */
    public static Project swapped(Project project, int a, int b) {
        List<Layer> layers = new ArrayList<>(project.layers());
        Collections.swap(layers, a, b);
        return project.withLayers(layers);
    }

    /** Inserts a look without effect after another look of a layer. */
    public static Layer withNewLook(Layer layer, String id, int after) {
        return withNewLook(layer, id, after, List.of());
    }

    /**
     * Inserts a look without effect after another look of a layer.
     *
     * @param shots ids of the clips that the look applies to; empty for all
     */
    public static Layer withNewLook(Layer layer, String id, int after, List<String> shots) {
        List<LayerLook> more = new ArrayList<>(layer.looks());
        more.add(after + 1, new LayerLook(id, fresh(), true).withShots(shots));
        return layer.withLooks(more);
    }

    /** Exchanges two looks of a layer. */
    public static Layer withLooksSwapped(Layer layer, int a, int b) {
        List<LayerLook> moved = new ArrayList<>(layer.looks());
        Collections.swap(moved, a, b);
        return layer.withLooks(moved);
    }

    /** Removes one of several looks of a layer. */
    public static Layer withoutLook(Layer layer, int number) {
        List<LayerLook> fewer = new ArrayList<>(layer.looks());
        fewer.remove(number);
        return layer.withLooks(fewer);
    }

    /** The play range with a new start or end; a single frame if the ends would cross. */
    public static FrameRange played(Project project, long frame, boolean begins) {
        FrameRange now = project.played();
        return begins
                ? new FrameRange(frame, Math.max(frame, now.last()))
                : new FrameRange(Math.min(frame, now.first()), frame);
    }
}
