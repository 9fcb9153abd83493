package ivrik.core.project;

import ivrik.core.look.BuiltInLooks;
import ivrik.core.look.Lists;
import ivrik.core.look.Look;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/** What a person does to a project as one edit: sources, layers and looks put in, moved and taken out. */
public final class Arrange {
    /** How long what stands still is shown if nothing else says so. */
    public static final int STILL_SECONDS = 4;

    private Arrange() {}

    /** How many frames of a sequence a source fills. */
    public static long length(Source source, Sequence sequence) {
        double seconds =
                source.kind().isStill()
                        ? STILL_SECONDS
                        : source.frames() / source.rate().toDouble();
        return Math.max(1, Math.round(seconds * sequence.rate().toDouble()));
    }

    /** The name, with a number behind it if it is taken. */
    static String free(String name, Predicate<String> taken) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> n == 1 ? name : name + " " + n)
                .filter(taken.negate())
                .findFirst()
                .orElseThrow();
    }

    /** An id for a source that none in the project has. */
    public static String freeSourceId(Project project, String name) {
        return free(name, n -> project.source(n).isPresent());
    }

    /**
     * Lists a source and puts it on: the first one decides size and rate, the next follow it as shots,
     * and a vector graphic lies over the shots as a layer of its own.
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
            return listed.withLayers(Lists.plus(listed.layers(), over));
        }
        Layer shots = listed.layers().getFirst();
        Clip clip = new Clip(source.id(), shots.end(), length(source, listed.sequence()), 0);
        return listed.withLayer(shots.id(), l -> l.withClips(Lists.plus(l.clips(), clip)));
    }

    /** Changes nothing yet: pictures come out as they are. */
    private static Look fresh() {
        return BuiltInLooks.named("in-register");
    }

    /** Lists a source and lays it over all, as the last layer, from a frame on. */
    public static Project over(Project project, Source source, long start) {
        return project.withSource(source)
                .withLayers(Lists.plus(project.layers(), layer(project, source, start)));
    }

    /** Lays a span over all: its looks apply to everything beneath it in a range of time. */
    public static Project spanned(Project project, FrameRange range) {
        return spanned(project, List.of(range));
    }

    /** One layer of spans over all, each in a range of time. */
    public static Project spanned(Project project, List<FrameRange> ranges) {
        Layer span =
                Layer.of(
                        free("span", n -> project.layer(n).isPresent()),
                        "span",
                        fresh(),
                        ranges.stream()
                                .map(r -> new Clip(Clip.BENEATH, r.first(), r.length(), 0))
                                .toArray(Clip[]::new));
        return project.withLayers(Lists.plus(project.layers(), span));
    }

    /** Lists a source and lays it under all, as the first layer. */
    public static Project under(Project project, Source source) {
        List<Layer> layers = new ArrayList<>(project.layers());
        layers.addFirst(layer(project, source, 0));
        return project.withSource(source).withLayers(layers);
    }

    /** A new layer of one source; what stands still lasts to the end. */
    private static Layer layer(Project project, Source source, long start) {
        long length =
                source.kind().isStill() ? end(project) - start : length(source, project.sequence());
        return Layer.of(
                free(source.id(), n -> project.layer(n).isPresent()),
                source.name(),
                fresh(),
                new Clip(source.id(), start, length, 0));
    }

    /** After the last frame; of a project without layers, where a still would end. */
    public static long end(Project project) {
        return project.layers().isEmpty()
                ? Math.round(STILL_SECONDS * project.sequence().rate().toDouble())
                : project.frames();
    }

    /** Takes a source out, its clips, and layers that have none left. */
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

    /** Takes a layer away; its sources stay listed. */
    public static Project withoutLayer(Project project, String id) {
        return project.withLayers(
                project.layers().stream().filter(l -> !l.id().equals(id)).toList());
    }

    /**
     * Lets two layers change places.
     *
     * @param a counted from below, from 0
     */
    public static Project swapped(Project project, int a, int b) {
        List<Layer> layers = new ArrayList<>(project.layers());
        Collections.swap(layers, a, b);
        return project.withLayers(layers);
    }

    /** Adds a look that changes nothing yet after another of a layer. */
    public static Layer withNewLook(Layer layer, String id, int after) {
        List<LayerLook> more = new ArrayList<>(layer.looks());
        more.add(after + 1, new LayerLook(id, fresh(), true));
        return layer.withLooks(more);
    }

    /** Lets two looks of a layer change places. */
    public static Layer withLooksSwapped(Layer layer, int a, int b) {
        List<LayerLook> moved = new ArrayList<>(layer.looks());
        Collections.swap(moved, a, b);
        return layer.withLooks(moved);
    }

    /** Takes one of several looks of a layer away. */
    public static Layer withoutLook(Layer layer, int number) {
        List<LayerLook> fewer = new ArrayList<>(layer.looks());
        fewer.remove(number);
        return layer.withLooks(fewer);
    }

    /**
     * The range that is played when it begins, or ends, at a frame; where the other end would lie on the
     * wrong side, it is that frame alone.
     */
    public static FrameRange played(Project project, long frame, boolean begins) {
        FrameRange now = project.played();
        return begins
                ? new FrameRange(frame, Math.max(frame, now.last()))
                : new FrameRange(Math.min(frame, now.first()), frame);
    }
}
