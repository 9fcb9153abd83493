package ivrik.core.motion;

/**
 * A point in time that an animation is centred on: a frame, or the boundary before a frame.
 *
 * @param frame the frame, or the frame after the boundary
 * @param between whether it is the boundary before that frame, as at a cut
 */
public record AnchorTime(long frame, boolean between) {
    private static final Rational HALF = new Rational(1, 2);

    /**
     * Signed distance to a moment in frames; negative is earlier. From a boundary the nearest frames are half
     * a frame away.
     */
    public Rational to(Rational moment) {
        Rational whole = moment.plus(Rational.of(-frame));
        return between ? whole.plus(HALF) : whole;
    }

    /**
     * Distance in frames from the nearest frame of the anchor: 0 at the frame, or at both frames beside the
     * boundary.
     */
    double distance(Rational moment) {
        double away = Math.abs(to(moment).toDouble());
        return between ? Math.max(0, away - 0.5) : away;
    }

    AnchorTime later(long frames) {
        return new AnchorTime(Math.addExact(frame, frames), between);
    }
}
