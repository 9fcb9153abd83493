package ivrik.core.look;

/**
 * Scaling a look's result up about its middle, so that edges which moves have uncovered lie outside.
 *
 * @param kind whether, and who says how much
 * @param scale at least 1; how much, where it is fixed
 */
public record Overscan(Kind kind, double scale) {
    public static final Overscan OFF = new Overscan(Kind.OFF, 1);

    /** Who says how much. */
    public enum Kind {
        OFF,
        /** The user. */
        FIXED,
        /** The moves: the least that hides every uncovered edge. */
        AUTOMATIC
    }

    public Overscan {
        scale = Math.max(1, scale);
    }
}
