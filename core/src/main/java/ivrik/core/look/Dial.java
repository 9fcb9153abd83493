package ivrik.core.look;

import ivrik.core.motion.Value;

import java.util.List;
import java.util.function.IntUnaryOperator;

/**
 * An exposed control of a look that drives several values at once. At rest it adds nothing to them; away
 * from rest each link adds its own share. A look may begin with its dials away from rest.
 *
 * @param name in files and on the command line, such as {@code red-x}
 * @param rest where it adds nothing
 * @param links what it drives
 */
public record Dial(
        String name,
        String title,
        String unit,
        double min,
        double max,
        double rest,
        Value value,
        List<Link> links) {
    public Dial {
        links = List.copyOf(links);
    }

    public Dial withValue(Value v) {
        return new Dial(name, title, unit, min, max, rest, v, links);
    }

    public Dial withLinks(List<Link> l) {
        return new Dial(name, title, unit, min, max, rest, value, l);
    }

    /** Another dial's value, rounded, at which a link works: a choice between several. */
    public record Only(String dial, int value) {}

    /**
     * One value that a dial drives.
     *
     * @param step number of the step
     * @param lane number of the lane
     * @param target a parameter of the treatment, or {@link #JITTER} or {@link #RATE}
     * @param perUnit added to the value for each unit that the dial is away from rest
     * @param only when it works; null for always
     */
    public record Link(int step, int lane, String target, double perUnit, Only only) {
        public Link(int step, int lane, String target, double perUnit) {
            this(step, lane, target, perUnit, null);
        }

        Link withLane(int l) {
            return new Link(step, l, target, perUnit, only);
        }

        public Link withStep(int s) {
            return new Link(s, lane, target, perUnit, only);
        }

        /** In place of a step that is no more. */
        static final int NOWHERE = -2;

        /** Of the step's new number; the reach has none. */
        Link renumbered(IntUnaryOperator number) {
            return step == REACH ? this : withStep(number.applyAsInt(step));
        }

        /** In place of a step: the look's reach, whose numbers are the targets. */
        public static final int REACH = -1;

        /** The jitter's amount. */
        public static final String JITTER = "jitter";

        /** The jitter's frequency in Hz; only the rest value of the dial drives it. */
        public static final String RATE = "jitter-rate";
    }
}
