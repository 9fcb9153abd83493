package ivrik.core.motion;

/**
 * The moment at which everything that depends on time is evaluated.
 *
 * @param frame frame of the sequence; may be fractional
 * @param rate frames per second of the sequence
 * @param timelineContext cuts and markers that animations can be anchored to
 * @param variation number of the rendering: each has other random numbers; 0 is the default
 */
public record Instant(
        Rational frame, Rational rate, TimelineContext timelineContext, long variation) {
    /** A whole frame of variation 0 without a timeline context. */
    public static Instant of(long frame, Rational rate) {
        return new Instant(Rational.of(frame), rate, TimelineContext.NOTHING, 0);
    }

    public Instant withFrame(Rational f) {
        return new Instant(f, rate, timelineContext, variation);
    }

    /** The whole frame that contains the moment. */
    public long wholeFrame() {
        return frame.floor();
    }

    public double seconds() {
        return frame.dividedBy(rate).toDouble();
    }
}
