package ivrik.core.look;

import ivrik.core.motion.Value;

import java.util.List;

/**
 * An exposed control of a look that drives several values at once. At rest it changes nothing; away
 * from rest each link adds its own share.
 *
 * @param name in files and on the command line, such as {@code red-x}
 * @param rest where it has no effect
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

    /**
     * One value that a dial drives.
     *
     * @param step number of the step
     * @param lane number of the lane
     * @param target a parameter of the treatment, or {@link #JITTER} or {@link #RATE}
     * @param perUnit added to the value for each unit that the dial is away from rest
     */
    public record Link(int step, int lane, String target, double perUnit) {
        /** The jitter's amount. */
        public static final String JITTER = "jitter";

        /** The jitter's frequency in Hz; only the rest value of the dial drives it. */
        public static final String RATE = "jitter-rate";
    }
}
