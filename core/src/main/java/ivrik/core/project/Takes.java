package ivrik.core.project;

import ivrik.core.UnknownNameException;
import ivrik.core.look.ListEdits;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Edits of the takes of a layer. */
public final class Takes {
    private Takes() {}

    /** A take and its layer. */
    public record OfLayer(Layer layer, Take take) {
        /** The project with the take applied to its layer. */
        public Project in(Project project) {
            return applied(project, layer.id(), take);
        }
    }

    /** The layer with a new take of some looks, under an unused name. */
    public static Layer withTake(Layer layer, String name, List<LayerLook> looks) {
        List<String> names = layer.takes().stream().map(Take::name).toList();
        return layer.withTakes(
                ListEdits.plus(
                        layer.takes(),
                        new Take("", ProjectEdits.free(name, names::contains), false, looks)));
    }

    /** An unused name for a new take. */
    public static String nextName(Layer layer) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> "Take " + n)
                .filter(n -> layer.takes().stream().noneMatch(t -> t.name().equals(n)))
                .findFirst()
                .orElseThrow();
    }

    /** The layer with a take applied. */
    public static Layer applied(Layer layer, Take take) {
        return layer.withLooks(take.looks());
    }

    /** The project with a take applied to its layer. */
    public static Project applied(Project project, String layer, Take take) {
        return project.withLayer(layer, l -> applied(l, take));
    }

    /** The take that equals the layer's present looks; empty if there is none. */
    public static Optional<Take> now(Layer layer) {
        return layer.takes().stream().filter(t -> t.looks().equals(layer.looks())).findFirst();
    }

    /** The take of a layer id and take id; empty if there is none. */
    public static Optional<OfLayer> find(Project project, String layer, String id) {
        return project.layer(layer).flatMap(l -> l.take(id).map(t -> new OfLayer(l, t)));
    }

    /** All takes, from the bottom layer upwards. */
    public static List<OfLayer> all(Project project) {
        return project.layers().stream()
                .flatMap(l -> l.takes().stream().map(t -> new OfLayer(l, t)))
                .toList();
    }

    /**
     * The takes of a name, on all layers.
     *
     * @throws UnknownNameException if there is none
     */
    public static List<OfLayer> named(Project project, String name) {
        List<OfLayer> found =
                all(project).stream().filter(t -> t.take().name().equals(name)).toList();
        if (found.isEmpty()) {
            throw new UnknownNameException(
                    "take",
                    name,
                    all(project).stream().map(t -> t.take().name()).distinct().toList());
        }
        return found;
    }

    /** The takes marked for export. */
    public static List<OfLayer> marked(Project project) {
        return all(project).stream().filter(t -> t.take().markedForExport()).toList();
    }
}
