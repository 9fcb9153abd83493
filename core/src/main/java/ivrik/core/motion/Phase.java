package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * One step of a burst.
 *
 * @param frames how long it lasts; 0 leaves it out
 * @param strength as a share of the peak's; may be more, or go the other way
 */
@RecordBuilder
public record Phase(int frames, double strength) implements PhaseBuilder.With {
    /** The longest that a phase can be. */
    public static final int MOST_FRAMES = 100_000;

    public Phase {
        if (frames < 0 || frames > MOST_FRAMES) {
            throw new IllegalArgumentException("a phase lasts 0.." + MOST_FRAMES + " frames");
        }
        if (!Double.isFinite(strength)) {
            throw new IllegalArgumentException("the strength of a phase must be finite");
        }
    }
}
