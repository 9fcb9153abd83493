package ivrik.core.look;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfFeed;
import ivrik.core.look.Target.OfLane;
import ivrik.core.look.Target.OfOnto;
import ivrik.core.look.Target.OfStep;
import ivrik.core.look.Target.OfWord;
import ivrik.core.motion.Value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What the dials of built-in looks drive. */
final class Links {
    private static final int LANES = 3;

    private Links() {}

    /** Drives one parameter of every lane by its own share. */
    static List<Link> lanes(String step, String parameter, double... shares) {
        return IntStream.range(0, shares.length)
                .filter(lane -> shares[lane] != 0)
                .mapToObj(lane -> new Link(new OfLane(step, lane, parameter), shares[lane]))
                .toList();
    }

    /** Drives one parameter of three lanes by the same share. */
    static List<Link> alike(String step, String parameter, double share) {
        double[] shares = new double[LANES];
        Arrays.fill(shares, share);
        return lanes(step, parameter, shares);
    }

    /** Drives one parameter of a step that is done to the whole picture. */
    static List<Link> whole(String step, String parameter, double share) {
        return List.of(new Link(new OfStep(step, parameter), share));
    }

    /** Goes through the words of an option. */
    static List<Link> word(String step, String option) {
        return List.of(new Link(new OfWord(step, option), 1));
    }

    /** Drives one number of the time of three lanes. */
    static List<Link> times(String part, double... shares) {
        return IntStream.range(0, shares.length)
                .mapToObj(lane -> new Link(new OfFeed(lane, part), shares[lane]))
                .toList();
    }

    /** Drives how much of the look is laid on. */
    static List<Link> onto(double share) {
        return List.of(new Link(new OfOnto(), share));
    }

    @SafeVarargs
    static List<Link> all(List<Link>... some) {
        List<Link> all = new ArrayList<>();
        for (List<Link> each : some) {
            all.addAll(each);
        }
        return List.copyOf(all);
    }

    /** A dial that begins away from rest. */
    static Dial dial(
            String name,
            String title,
            String unit,
            double min,
            double max,
            double rest,
            double begins,
            List<Link> links) {
        return new Dial(name, title, unit, min, max, rest, Value.of(begins), links);
    }

    /** A dial from nothing to all, at rest at nothing. */
    static Dial share(String name, String title, double begins, List<Link> links) {
        return dial(name, title, "", 0, 1, 0, begins, links);
    }

    @SafeVarargs
    static List<Dial> dials(List<Dial>... some) {
        List<Dial> all = new ArrayList<>();
        for (List<Dial> each : some) {
            all.addAll(each);
        }
        return List.copyOf(all);
    }

    /** Where the middle of a lens lies, for all the steps that have one. */
    static List<Dial> centre(String... steps) {
        return List.of(centre("x", "across", steps), centre("y", "down", steps));
    }

    private static Dial centre(String axis, String title, String... steps) {
        List<Link> links =
                Stream.of(steps)
                        .flatMap(
                                step ->
                                        step.startsWith("vignette")
                                                ? whole(step, "centre-" + axis, 1).stream()
                                                : alike(step, "centre-" + axis, 1).stream())
                        .toList();
        return dial("centre-" + axis, "Centre " + title, "px", -4000, 4000, 0, 0, links);
    }
}
