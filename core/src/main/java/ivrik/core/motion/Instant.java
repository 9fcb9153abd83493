package ivrik.core.motion;

/**
 * The one thing at which all that depends on time is worked out.
 *
 * @param frame of the sequence; may lie between whole frames
 * @param rate frames of the sequence a second
 * @param around what lies about it in time
 * @param roll which of several renderings it is: each has other random numbers; 0 is the first
 */
public record Instant(Rational frame, Rational rate, Around around, long roll) {
    /** A whole frame of the first roll, with nothing about it. */
    public static Instant of(long frame, Rational rate) {
        return new Instant(Rational.of(frame), rate, Around.NOTHING, 0);
    }

    public Instant withFrame(Rational f) {
        return new Instant(f, rate, around, roll);
    }

    /** The whole frame that it lies in. */
    public long wholeFrame() {
        return frame.floor();
    }

    public double seconds() {
        return frame.dividedBy(rate).toDouble();
    }
}
