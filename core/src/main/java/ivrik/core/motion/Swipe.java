package ivrik.core.motion;

/**
 * From one place to another for good, about an axis.
 *
 * @param before how many frames before its axis it begins
 * @param after how many frames after its axis it ends
 * @param ease how it gets there
 * @param speed whether it is how fast that goes, as a share of the fastest, in place of how far it has come
 */
public record Swipe(double before, double after, Ease ease, boolean speed) implements Course {
    public Swipe {
        if (!(before >= 0
                && after >= 0
                && before <= Phase.MOST_FRAMES
                && after <= Phase.MOST_FRAMES)) {
            throw new IllegalArgumentException(
                    "a swipe takes 0.." + Phase.MOST_FRAMES + " frames on each side of its axis");
        }
    }

    @Override
    public int phases() {
        return 0;
    }

    @Override
    public double reach() {
        return Math.max(before, after) + 1;
    }

    @Override
    public double remains() {
        return speed ? 0 : 1;
    }

    @Override
    public double at(Axis axis, Rational moment) {
        double x = axis.to(moment).toDouble();
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
    public long phase(Axis axis, Rational moment) {
        return 0;
    }

    @Override
    public Swipe timed(double b, double a, int phases) {
        return new Swipe(
                Math.clamp(b, 0, Phase.MOST_FRAMES),
                Math.clamp(a, 0, Phase.MOST_FRAMES),
                ease,
                speed);
    }
}
