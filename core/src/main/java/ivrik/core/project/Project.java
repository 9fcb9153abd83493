package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.Lists;
import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * All that a project is.
 *
 * @param layers from the lowest to the uppermost
 * @param playRange the part that is played, empty for all of it
 */
@RecordBuilder
public record Project(
        String name,
        Sequence sequence,
        List<Source> sources,
        List<Layer> layers,
        List<Marker> markers,
        Optional<FrameRange> playRange)
        implements ProjectBuilder.With {
    public Project {
        sources = List.copyOf(sources);
        layers = List.copyOf(layers);
        markers = Named.each(markers, "marker", Marker::id, Marker::withId);
    }

    /** A project with nothing in it. */
    public static Project empty(String name) {
        return new Project(
                name,
                new Sequence(new Size(1280, 720), Rational.of(24)),
                List.of(),
                List.of(),
                List.of(),
                Optional.empty());
    }

    public boolean isEmpty() {
        return sources.isEmpty() && layers.isEmpty();
    }

    /** How many frames there are: up to where the last clip ends, at least 1. */
    public long frames() {
        return Math.max(1, layers.stream().mapToLong(Layer::end).max().orElse(0));
    }

    public FrameRange allFrames() {
        return new FrameRange(0, frames() - 1);
    }

    public FrameRange played() {
        return playRange.map(r -> r.within(allFrames())).orElse(allFrames());
    }

    /** Where shots meet, on any layer. */
    public TreeSet<Long> cuts() {
        TreeSet<Long> cuts = new TreeSet<>();
        layers.forEach(layer -> cuts.addAll(layer.cuts().values()));
        return cuts;
    }

    /**
     * The cuts that the looks of a layer can be anchored to, by the ids of the clips that take over there: its
     * own; those of other layers with the layer's id and a stroke before them.
     */
    public Map<String, Long> cuts(Layer layer) {
        Map<String, Long> all = new HashMap<>(layer.cuts());
        for (Layer other : layers) {
            if (!other.id().equals(layer.id())) {
                other.cuts().forEach((clip, at) -> all.put(other.id() + "/" + clip, at));
            }
        }
        return all;
    }

    public Optional<Source> source(String id) {
        return sources.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    public Optional<Layer> layer(String id) {
        return layers.stream().filter(l -> l.id().equals(id)).findFirst();
    }

    public Project withLayer(String id, UnaryOperator<Layer> change) {
        return withLayers(
                layers.stream().map(l -> l.id().equals(id) ? change.apply(l) : l).toList());
    }

    /** With this source, in place of one of the same id. */
    public Project withSource(Source source) {
        return withSources(
                source(source.id()).isPresent()
                        ? sources.stream()
                                .map(s -> s.id().equals(source.id()) ? source : s)
                                .toList()
                        : Lists.plus(sources, source));
    }

    /** With a marker at a frame if there is none, without it if there is. */
    public Project toggleMarker(Marker marker) {
        List<Marker> others = markers.stream().filter(m -> m.frame() != marker.frame()).toList();
        return withMarkers(
                others.size() < markers.size()
                        ? others
                        : Stream.concat(others.stream(), Stream.of(marker))
                                .sorted(java.util.Comparator.comparingLong(Marker::frame))
                                .toList());
    }
}
