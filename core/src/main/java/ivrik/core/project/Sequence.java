package ivrik.core.project;

import ivrik.core.motion.Rational;
import ivrik.core.picture.Size;

/**
 * What is delivered.
 *
 * @param size in pixels
 * @param rate frames a second
 * @param ground what lies beneath all layers
 */
public record Sequence(Size size, Rational rate, Ground ground) {
    public Sequence(Size size, Rational rate) {
        this(size, rate, Ground.NOTHING);
    }

    public Sequence withSize(Size s) {
        return new Sequence(s, rate, ground);
    }

    public Sequence withGround(Ground g) {
        return new Sequence(size, rate, g);
    }
}
