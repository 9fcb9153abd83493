package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * One step of a burst's envelope.
 *
 * @param frames duration; 0 skips the phase
 * @param strength share of the peak; may exceed 1 or be negative
 */
@RecordBuilder
public record Phase(int frames, double strength) implements PhaseBuilder.With {
    /** Largest duration. */
    public static final int MAX_FRAMES = 100_000;

    public Phase {
        if (frames < 0 || frames > MAX_FRAMES) {
            throw new IllegalArgumentException("a phase lasts 0.." + MAX_FRAMES + " frames");
        }
        if (!Double.isFinite(strength)) {
            throw new IllegalArgumentException("the strength of a phase must be finite");
        }
    }
}
