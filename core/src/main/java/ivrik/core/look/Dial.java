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
 * A control of a look that drives several values at once. At rest a dial adds nothing; away from rest each
 * link adds its own share. The initial value may differ from rest.
 *
 * @param name name in files and on the command line, such as {@code red-x}
 * @param rest value without effect
 * @param links driven values
 * @param choices labels of its integer values, from the smallest; empty for a number
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
        List<String> choices)
        implements DialBuilder.With {
    /** Dials with a wider range show only a part of it. */
    private static final double WIDE = 500;

    public Dial {
        links = List.copyOf(links);
        choices = List.copyOf(choices);
    }

    /** A numeric dial. */
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

    /** A choice between words; the first has no effect. */
    public static Dial choice(String name, String title, List<Link> links, String... choices) {
        return new Dial(
                name, title, "", 0, choices.length - 1, 0, Value.ZERO, links, List.of(choices));
    }

    /** The value of a word; empty if this dial has no such word. */
    public OptionalDouble valueOf(String choice) {
        int at = choices.indexOf(choice);
        return at < 0 ? OptionalDouble.empty() : OptionalDouble.of(min + at);
    }

    /** The word of a value; empty if the dial is numeric. */
    public String choice(double value) {
        return choices.isEmpty()
                ? ""
                : choices.get(Math.clamp(Math.round(value - min), 0, choices.size() - 1));
    }

    /** A range of dial values. */
    public record Span(double least, double most) {}

    /**
     * The useful part of the range: all of it, or for a very wide range the part around rest and a value.
     */
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

    /** The range of the dial as a parameter. */
    public Parameter range() {
        return Parameter.of(name, title, unit, min, max, rest, 1);
    }

    /** Restricts a link to one value, rounded, of another dial: a choice between several links. */
    public record Condition(String dial, int value) {}

    /**
     * The part of a dial's range on which a link works. The total over the part does not depend on the
     * easing.
     *
     * @param from dial value at which the link starts to add
     * @param to dial value at which the link has added everything; not equal to {@code from}
     * @param ease distribution over the part
     */
    public record Response(double from, double to, Ease ease) {
        public Response {
            if (!(from < to)) {
                throw new IllegalArgumentException(
                        "the active range of a dial goes from a lower to a higher value");
            }
        }

        /** The dial value at which a linear link would add the same amount. */
        private double at(double dial) {
            double share = Math.clamp((dial - from) / (to - from), 0, 1);
            return from + (to - from) * ease.progress(share);
        }
    }

    /**
     * One value that a dial drives.
     *
     * @param perUnit added to the value per unit of distance from rest
     * @param condition when the link works; null for always
     * @param response null for a linear link over the whole range
     */
    public record Link(Target target, double perUnit, Condition condition, Response response) {
        public Link(Target target, double perUnit) {
            this(target, perUnit, null, null);
        }

        public Link(Target target, double perUnit, Condition only) {
            this(target, perUnit, only, null);
        }

        public Link withTarget(Target t) {
            return new Link(t, perUnit, condition, response);
        }

        public Link withPerUnit(double changed) {
            return new Link(target, changed, condition, response);
        }

        public Link withResponse(Response changed) {
            return new Link(target, perUnit, condition, changed);
        }

        /** What the link adds for a dial at {@code at} with rest at {@code rest}. */
        double added(double at, double rest) {
            return perUnit * (response == null ? at - rest : response.at(at) - response.at(rest));
        }
    }

    /** A keyframed dial at rest; any other dial unchanged. */
    public Dial withoutKeyframes() {
        return value.isMoving() ? withValue(Value.of(rest)) : this;
    }

    /** This dial with each target replaced by others. */
    Dial driving(Function<Target, Stream<Target>> instead) {
        return withLinks(
                links.stream().flatMap(l -> instead.apply(l.target()).map(l::withTarget)).toList());
    }
}
