package ivrik.core.look;

import ivrik.core.look.Dial.Link;
import ivrik.core.look.Target.OfChannel;
import ivrik.core.look.Target.OfChannelSource;
import ivrik.core.look.Target.OfOpacity;
import ivrik.core.look.Target.OfOption;
import ivrik.core.look.Target.OfStep;
import ivrik.core.motion.Value;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Links and dials of built-in looks. */
final class DialLinks {
    private static final int CHANNELS = 3;

    private DialLinks() {}

    /** Drives one parameter in every channel, each with its own share. */
    static List<Link> channels(String step, String parameter, double... shares) {
        return IntStream.range(0, shares.length)
                .filter(channel -> shares[channel] != 0)
                .mapToObj(
                        channel ->
                                new Link(new OfChannel(step, channel, parameter), shares[channel]))
                .toList();
    }

    /** Drives one parameter in three channels with the same share. */
    static List<Link> allChannels(String step, String parameter, double share) {
        double[] shares = new double[CHANNELS];
        Arrays.fill(shares, share);
        return channels(step, parameter, shares);
    }

    /** Drives one parameter of a step on the whole picture. */
    static List<Link> whole(String step, String parameter, double share) {
        return List.of(new Link(new OfStep(step, parameter), share));
    }

    /** Steps through the choices of an option. */
    static List<Link> choice(String step, String option) {
        return List.of(new Link(new OfOption(step, option), 1));
    }

    /** Drives one timing number of three channels. */
    static List<Link> times(String part, double... shares) {
        return IntStream.range(0, shares.length)
                .mapToObj(channel -> new Link(new OfChannelSource(channel, part), shares[channel]))
                .toList();
    }

    /** Drives the opacity of the look. */
    static List<Link> opacity(double share) {
        return List.of(new Link(new OfOpacity(), share));
    }

    @SafeVarargs
    static List<Link> all(List<Link>... some) {
        List<Link> all = new ArrayList<>();
        for (List<Link> each : some) {
            all.addAll(each);
        }
        return List.copyOf(all);
    }

    /** A dial whose initial value differs from rest. */
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

    /** A dial from 0 to 1 with rest at 0. */
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

    /** Dials for the lens centre of all steps that have one. */
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
                                                : allChannels(step, "centre-" + axis, 1).stream())
                        .toList();
        return dial("centre-" + axis, "Centre, " + title, "px", -4000, 4000, 0, 0, links);
    }
}
