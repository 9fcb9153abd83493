package ivrik.core.project;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.look.ListEdits;
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
 * A complete project.
 *
 * @param layers from the bottom to the top
 * @param playRange the range that is played; empty for all
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
        markers = UniqueIds.each(markers, "marker", Marker::id, Marker::withId);
    }

    /** An empty project. */
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

    /** Number of frames up to the end of the last clip, at least 1. */
    public long frames() {
        return Math.max(1, layers.stream().mapToLong(Layer::end).max().orElse(0));
    }

    public FrameRange allFrames() {
        return new FrameRange(0, frames() - 1);
    }

    public FrameRange played() {
        return playRange.map(r -> r.within(allFrames())).orElse(allFrames());
    }

    /** Frames of all cuts, on any layer. */
    public TreeSet<Long> cuts() {
        TreeSet<Long> cuts = new TreeSet<>();
        layers.forEach(layer -> cuts.addAll(layer.cuts().values()));
        return cuts;
    }

    /**
     * The cuts that the looks of a layer can be anchored to, by id: the layer's own cuts by clip id, those of
     * other layers by layer id, slash and clip id.
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

    /** The project with a source added, or replaced if the id exists. */
    public Project withSource(Source source) {
        return withSources(
                source(source.id()).isPresent()
                        ? sources.stream()
                                .map(s -> s.id().equals(source.id()) ? source : s)
                                .toList()
                        : ListEdits.plus(sources, source));
    }

    /** The project with a marker added, or removed if there is one at the same frame. */
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
