package ivrik.core.look;

import ivrik.core.filter.Affine;
import ivrik.core.look.Burst.Drive;
import ivrik.core.treatment.Description;
import ivrik.core.treatment.Parameter;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Titles of bursts: the name given by hand, or the values that a burst drives, such as "Shift x". */
public final class BurstTitle {
    /** Titles of values in the title of a burst. */
    private static final int MAX_VALUES = 2;

    /** Components below this share of the movement are not named. */
    private static final double SMALL = 1e-6;

    private BurstTitle() {}

    /** The title; equal titles of a look are numbered. */
    public static String of(Look look, Burst burst) {
        if (!burst.name().isEmpty()) {
            return burst.name();
        }
        String title = driven(look, burst);
        long earlier =
                look.bursts().stream()
                        .takeWhile(b -> !b.id().equals(burst.id()))
                        .filter(b -> b.name().isEmpty() && driven(look, b).equals(title))
                        .count();
        return earlier == 0 ? title : title + " " + (earlier + 1);
    }

    private static String driven(Look look, Burst burst) {
        Set<String> titles = new LinkedHashSet<>();
        for (Drive drive : burst.drives()) {
            titles.add(title(look, burst, drive.target()));
        }
        List<String> all = List.copyOf(titles);
        if (all.isEmpty()) {
            return "Burst";
        }
        String first = String.join(", ", all.subList(0, Math.min(MAX_VALUES, all.size())));
        int more = all.size() - MAX_VALUES;
        return more > 0 ? first + " and " + more + " more" : first;
    }

    /** A driven value, such as "Shift y", along the burst's angle. */
    private static String title(Look look, Burst burst, Target target) {
        Optional<Description> description =
                look.step(target.stepId()).map(s -> s.kind().description());
        Optional<String> value =
                moved(look, burst, target)
                        .or(() -> Targets.range(look, target).map(Parameter::title));
        return description.map(d -> d.title() + " ").orElse("") + value.orElse("deleted value");
    }

    /** The titles of the axes along which a burst moves a value of an x/y pair; empty for others. */
    private static Optional<String> moved(Look look, Burst burst, Target target) {
        return XyPair.of(look, target)
                .map(
                        pair ->
                                axes(burst, pair).stream()
                                        .map(axis -> title(look, axis))
                                        .collect(Collectors.joining(" and ")));
    }

    /** The values of a pair that a burst changes; at least one. */
    private static List<Target> axes(Burst burst, XyPair pair) {
        double x = factor(burst, pair.x());
        double y = factor(burst, pair.y());
        Affine turned = Affine.turned(burst.angleDegrees().rest(), 0, 0);
        // clockwise where y points down, as in BurstEvaluator
        double across = turned.xx() * x + turned.yx() * y;
        double down = turned.xy() * x + turned.yy() * y;
        double least = SMALL * Math.sqrt(across * across + down * down);
        return Math.abs(down) <= least
                ? List.of(pair.x())
                : Math.abs(across) <= least ? List.of(pair.y()) : List.of(pair.x(), pair.y());
    }

    /** The value that a burst changes first; empty if it drives nothing. */
    public static Optional<Target> first(Look look, Burst burst) {
        return burst.drives().stream()
                .findFirst()
                .map(Drive::target)
                .map(t -> XyPair.of(look, t).map(p -> axes(burst, p).getFirst()).orElse(t));
    }

    private static String title(Look look, Target target) {
        return Targets.range(look, target).map(Parameter::title).orElse("");
    }

    private static double factor(Burst burst, Target target) {
        return burst.drives().stream()
                .filter(d -> d.target().equals(target))
                .mapToDouble(Drive::factor)
                .sum();
    }
}
