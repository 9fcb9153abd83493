package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How often a burst comes again after the first time.
 *
 * @param every frames of the sequence, or beats a minute; 0 for once
 * @param beats whether it is beats a minute
 * @param offsetFrames how much later than its anchor the first time is
 */
@RecordBuilder
public record Repeat(double every, boolean beats, int offsetFrames) implements RepeatBuilder.With {
    public static final Repeat ONCE = new Repeat(0, false, 0);

    /** The most frames, or beats a minute. */
    public static final double MOST = 100_000;

    public Repeat {
        if (!(every >= 0 && every <= MOST)) {
            throw new IllegalArgumentException(
                    "a burst comes again every 0.." + MOST + " frames or beats a minute");
        }
    }

    /** With this more often, or more rarely. */
    public Repeat plus(double more) {
        return new Repeat(Math.clamp(every + more, 0, MOST), beats, offsetFrames);
    }

    /** Frames from one time to the next, at least 1; 0 for once. */
    double period(Rational rate) {
        if (every == 0) {
            return 0;
        }
        return Math.max(1, beats ? 60 * rate.toDouble() / every : every);
    }
}
