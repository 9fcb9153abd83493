package ivrik.core.look;

/**
 * Scales a look's result up about the centre, so that edges uncovered by shifts lie outside the frame.
 *
 * @param kind whether, and who chooses the scale
 * @param scale at least 1; used if fixed
 */
public record Overscan(Kind kind, double scale) {
    public static final Overscan OFF = new Overscan(Kind.OFF, 1);

    /** Who chooses the scale. */
    public enum Kind {
        OFF,
        /** The user. */
        FIXED,
        /** Ivrik: the smallest scale that hides every uncovered edge. */
        AUTOMATIC
    }

    public Overscan {
        scale = Math.max(1, scale);
    }
}
