package ivrik.core.project;

import ivrik.core.look.Look;
import ivrik.core.look.Section;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.LongStream;

/** A project that ends at a look of a layer, for what that look does to be measured. */
public final class UpToLook {
    private UpToLook() {}

    /** A project that ends before a look of a layer, which does no more than prepare the picture. */
    public static Project untouched(Project project, Layer layer, int number) {
        return upTo(
                project,
                layer,
                number,
                look ->
                        Look.atRest(look.name(), look.model())
                                .withSteps(look.steps(Section.PREPARE)));
    }

    /** A project that ends with what a look makes of its lanes, before its last section. */
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

    /** So many frames of a shot, evenly from its first part to its last. */
    public static List<Long> frames(Clip shot, int count) {
        return LongStream.range(0, count)
                .map(i -> shot.start() + (2 * i + 1) * shot.length() / (2L * count))
                .distinct()
                .boxed()
                .toList();
    }
}
