package ivrik.core.motion;

/**
 * A transition from one state to another that stays.
 *
 * @param before frames from the start to the anchor
 * @param after frames from the anchor to the end
 * @param ease interpolation
 * @param speed whether the share is the speed of the transition relative to its maximum, instead of its
 *     progress
 */
public record TransitionEnvelope(double before, double after, Ease ease, boolean speed)
        implements Envelope {
    public TransitionEnvelope {
        if (!(before >= 0
                && after >= 0
                && before <= Phase.MAX_FRAMES
                && after <= Phase.MAX_FRAMES)) {
            throw new IllegalArgumentException(
                    "a swipe takes 0.." + Phase.MAX_FRAMES + " frames on each side of its peak");
        }
    }

    @Override
    public int phases() {
        return 0;
    }

    @Override
    public double extent() {
        return Math.max(before, after) + 1;
    }

    @Override
    public double remains() {
        return speed ? 0 : 1;
    }

    @Override
    public double at(AnchorTime anchorTime, Rational moment, int channel) {
        double x = anchorTime.to(moment).toDouble();
        if (x <= -before) {
            return 0;
        }
        if (x >= after) {
            return remains();
        }
        double t = (x + before) / (before + after);
        return speed ? ease.speed(t) / ease.fastest() : ease.progress(t);
    }

    @Override
    public long phase(AnchorTime anchorTime, Rational moment) {
        return 0;
    }

    @Override
    public TransitionEnvelope timed(double b, double a, int phases) {
        return new TransitionEnvelope(
                Math.clamp(b, 0, Phase.MAX_FRAMES),
                Math.clamp(a, 0, Phase.MAX_FRAMES),
                ease,
                speed);
    }
}
