package ivrik.core.motion;

/**
 * What a movement lies about in time: a frame, or the moment between two.
 *
 * @param frame the frame, or the later of the two
 * @param between whether it is the moment before that frame, as a cut is
 */
public record Axis(long frame, boolean between) {
    private static final Rational HALF = new Rational(1, 2);

    /** How many frames later a moment is; negative is earlier. From between two frames, half of one to each. */
    public Rational to(Rational moment) {
        Rational whole = moment.plus(Rational.of(-frame));
        return between ? whole.plus(HALF) : whole;
    }

    /**
     * How many frames a moment is from the nearest frame of the axis: 0 at the frame, or at the two that it
     * lies between.
     */
    double distance(Rational moment) {
        double away = Math.abs(to(moment).toDouble());
        return between ? Math.max(0, away - 0.5) : away;
    }

    Axis later(long frames) {
        return new Axis(Math.addExact(frame, frames), between);
    }
}
