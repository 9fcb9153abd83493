package ivrik.core.project;

import ivrik.core.look.Look;
import ivrik.core.look.Section;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.LongStream;

/** A project that is cut off at a look of a layer, to measure what the look does. */
public final class ProjectUpToLook {
    private ProjectUpToLook() {}

    /** A project that renders everything before a look, and the look's preparation. */
    public static Project untouched(Project project, Layer layer, int number) {
        return upTo(
                project,
                layer,
                number,
                look ->
                        Look.atRest(look.name(), look.model())
                                .withSteps(look.steps(Section.PREPARE)));
    }

    /** A project that renders a look up to its rejoin, without its last section. */
    public static Project treated(Project project, Layer layer, int number) {
        return upTo(
                project,
                layer,
                number,
                look ->
                        look.withSteps(
                                look.steps().stream()
                                        .filter(s -> s.section() != Section.FINISH)
                                        .toList()));
    }

    private static Project upTo(
            Project project, Layer layer, int number, UnaryOperator<Look> change) {
        List<LayerLook> looks = new ArrayList<>(layer.looks().subList(0, number));
        LayerLook last = layer.looks().get(number);
        looks.add(last.withLook(change.apply(last.look())).withOn(true));
        List<Layer> layers = new ArrayList<>();
        for (Layer each : project.layers()) {
            boolean here = each.id().equals(layer.id());
            layers.add(here ? layer.withLooks(looks) : each);
            if (here) {
                break;
            }
        }
        return project.withLayers(layers);
    }

    /** Frames of a shot, evenly spaced. */
    public static List<Long> frames(Clip shot, int count) {
        return LongStream.range(0, count)
                .map(i -> shot.start() + (2 * i + 1) * shot.length() / (2L * count))
                .distinct()
                .boxed()
                .toList();
    }
}
