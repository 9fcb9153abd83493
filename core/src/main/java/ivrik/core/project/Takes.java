package ivrik.core.project;

import ivrik.core.UnknownNameException;
import ivrik.core.look.Lists;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** What a person does with the takes of a layer. */
public final class Takes {
    private Takes() {}

    /** A take and the layer it was kept on. */
    public record OfLayer(Layer layer, Take take) {
        /** The project with it in place of what is done on its layer. */
        public Project in(Project project) {
            return laid(project, layer.id(), take);
        }
    }

    /** With one take more, of some looks, under a name that no other has. */
    public static Layer kept(Layer layer, String name, List<LayerLook> looks) {
        List<String> names = layer.takes().stream().map(Take::name).toList();
        return layer.withTakes(
                Lists.plus(
                        layer.takes(),
                        new Take("", Arrange.free(name, names::contains), false, looks)));
    }

    /** A name for the next one: the first number that none has. */
    public static String nextName(Layer layer) {
        return IntStream.iterate(1, n -> n + 1)
                .mapToObj(n -> "Take " + n)
                .filter(n -> layer.takes().stream().noneMatch(t -> t.name().equals(n)))
                .findFirst()
                .orElseThrow();
    }

    /** The layer with a take done on it. */
    public static Layer laid(Layer layer, Take take) {
        return layer.withLooks(take.looks());
    }

    /** The project with a take done on its layer. */
    public static Project laid(Project project, String layer, Take take) {
        return project.withLayer(layer, l -> laid(l, take));
    }

    /** The take that is done on the layer as it is now; empty if that is kept as none. */
    public static Optional<Take> now(Layer layer) {
        return layer.takes().stream().filter(t -> t.looks().equals(layer.looks())).findFirst();
    }

    /** The take of these ids; empty where it is not there any more. */
    public static Optional<OfLayer> find(Project project, String layer, String id) {
        return project.layer(layer).flatMap(l -> l.kept(id).map(t -> new OfLayer(l, t)));
    }

    /** All that are kept, of the lowest layer first. */
    public static List<OfLayer> all(Project project) {
        return project.layers().stream()
                .flatMap(l -> l.takes().stream().map(t -> new OfLayer(l, t)))
                .toList();
    }

    /**
     * Those of a name, on whatever layer.
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

    /** Those that are exported together. */
    public static List<OfLayer> picked(Project project) {
        return all(project).stream().filter(t -> t.take().picked()).toList();
    }
}
