package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Repetition of a burst.
 *
 * @param every interval in frames of the sequence, or beats per minute; 0 for no repetition
 * @param beats whether {@code every} is in beats per minute
 * @param offsetFrames delay of the first repetition after the anchor
 */
@RecordBuilder
public record Repeat(double every, boolean beats, int offsetFrames) implements RepeatBuilder.With {
    public static final Repeat ONCE = new Repeat(0, false, 0);

    /** Largest number of frames, or beats per minute. */
    public static final double MAX = 100_000;

    public Repeat {
        if (!(every >= 0 && every <= MAX)) {
            throw new IllegalArgumentException(
                    "repeat interval must be between 0 and " + MAX + " frames or bpm");
        }
    }

    /** This repetition with {@code more} added to {@code every}. */
    public Repeat plus(double more) {
        return new Repeat(Math.clamp(every + more, 0, MAX), beats, offsetFrames);
    }

    /** Frames between repetitions, at least 1; 0 for no repetition. */
    double period(Rational rate) {
        if (every == 0) {
            return 0;
        }
        return Math.max(1, beats ? 60 * rate.toDouble() / every : every);
    }
}
