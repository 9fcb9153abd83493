package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * An exposed control of a look that drives several values at once. At rest it adds nothing to them; away
 * from rest each link adds its own share. A look may begin with its dials away from rest.
 *
 * @param name in files and on the command line, such as {@code red-x}
 * @param rest where it adds nothing
 * @param links what it drives
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
        List<Link> links)
        implements DialBuilder.With {
    public Dial {
        links = List.copyOf(links);
    }

    /** Another dial's value, rounded, at which a link works: a choice between several. */
    public record Only(String dial, int value) {}

    /**
     * One value that a dial drives.
     *
     * @param perUnit added to the value for each unit that the dial is away from rest
     * @param only when it works; null for always
     */
    public record Link(Target target, double perUnit, Only only) {
        public Link(Target target, double perUnit) {
            this(target, perUnit, null);
        }

        Link withTarget(Target t) {
            return new Link(t, perUnit, only);
        }
    }

    /** That drives other targets in place of each. */
    Dial driving(Function<Target, Stream<Target>> instead) {
        return withLinks(
                links.stream().flatMap(l -> instead.apply(l.target()).map(l::withTarget)).toList());
    }
}
