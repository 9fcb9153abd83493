package ivrik.core.motion;

/** A value set at a frame, and how the value moves from there to the next peg. */
public record Peg(long frame, double value, Ease ease) {
    public Peg {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(
                    "the peg at frame " + frame + " has no finite value");
        }
    }

    public Peg withValue(double v) {
        return new Peg(frame, v, ease);
    }

    public Peg withEase(Ease e) {
        return new Peg(frame, value, e);
    }
}
