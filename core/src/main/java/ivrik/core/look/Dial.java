package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Ease;
import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * An exposed control of a look that drives several values at once. At rest it adds nothing to them; away
 * from rest each link adds its own share. A look may begin with its dials away from rest.
 *
 * @param name in files and on the command line, such as {@code red-x}
 * @param rest where it adds nothing
 * @param links what it drives
 * @param words what its whole values are called, from the least on; empty where it is a number
 */
@RecordBuilder
public record Dial(
        String name,
        String title,
        String unit,
        double min,
        double max,
        double rest,
        Value value,
        List<Link> links,
        List<String> words)
        implements DialBuilder.With {
    /** A range that is wider is not shown as a whole. */
    private static final double WIDE = 500;

    public Dial {
        links = List.copyOf(links);
        words = List.copyOf(words);
    }

    /** One whose values are numbers. */
    public Dial(
            String name,
            String title,
            String unit,
            double min,
            double max,
            double rest,
            Value value,
            List<Link> links) {
        this(name, title, unit, min, max, rest, value, links, List.of());
    }

    /** A choice between words, of which the first is rest. */
    public static Dial choice(String name, String title, List<Link> links, String... words) {
        return new Dial(name, title, "", 0, words.length - 1, 0, Value.ZERO, links, List.of(words));
    }

    /** The value that a word stands for; empty where it is none of this dial's. */
    public OptionalDouble valueOf(String word) {
        int at = words.indexOf(word);
        return at < 0 ? OptionalDouble.empty() : OptionalDouble.of(min + at);
    }

    /** The word for a value; empty where the dial is a number. */
    public String word(double value) {
        return words.isEmpty()
                ? ""
                : words.get(Math.clamp(Math.round(value - min), 0, words.size() - 1));
    }

    /** From a least value to a most. */
    public record Span(double least, double most) {}

    /** What of its range is worth seeing: all of it, or of a very wide one what lies about rest and a value. */
    public Span about(double at) {
        if (max - min <= WIDE) {
            return new Span(min, max);
        }
        double room = WIDE / 10;
        while (room < Math.abs(at - rest) * 1.2) {
            room *= 2;
        }
        return new Span(Math.max(min, rest - room), Math.min(max, rest + room));
    }

    /** What it may be set to. */
    public Parameter range() {
        return Parameter.of(name, title, unit, min, max, rest, 1);
    }

    /** Another dial's value, rounded, at which a link works: a choice between several. */
    public record Only(String dial, int value) {}

    /**
     * The part of a dial's way on which a link works, and how: what it adds over all of that part is the
     * same, however it is spread.
     *
     * @param from where on the dial it begins to add
     * @param to where it has added all; over {@code from}
     * @param ease how much of it has been added on the way between
     */
    public record Bend(double from, double to, Ease ease) {
        public Bend {
            if (!(from < to)) {
                throw new IllegalArgumentException("a bend goes from less to more");
            }
        }

        /** The place on the dial that an even link would have to be at to add as much. */
        private double at(double dial) {
            double share = Math.clamp((dial - from) / (to - from), 0, 1);
            return from + (to - from) * ease.progress(share);
        }
    }

    /**
     * One value that a dial drives.
     *
     * @param perUnit added to the value for each unit that the dial is away from rest
     * @param only when it works; null for always
     * @param bend null where it adds the same for every unit
     */
    public record Link(Target target, double perUnit, Only only, Bend bend) {
        public Link(Target target, double perUnit) {
            this(target, perUnit, null, null);
        }

        public Link(Target target, double perUnit, Only only) {
            this(target, perUnit, only, null);
        }

        public Link withTarget(Target t) {
            return new Link(t, perUnit, only, bend);
        }

        public Link withPerUnit(double changed) {
            return new Link(target, changed, only, bend);
        }

        public Link withBend(Bend changed) {
            return new Link(target, perUnit, only, changed);
        }

        /** What it adds where the dial stands at {@code at} and rests at {@code rest}. */
        double added(double at, double rest) {
            return perUnit * (bend == null ? at - rest : bend.at(at) - bend.at(rest));
        }
    }

    /** That drives other targets in place of each. */
    Dial driving(Function<Target, Stream<Target>> instead) {
        return withLinks(
                links.stream().flatMap(l -> instead.apply(l.target()).map(l::withTarget)).toList());
    }
}
