package ivrik.core.look;

import ivrik.core.motion.Value;

/**
 * Where a picture lies in the sequence: its middle, off the sequence's middle, its size, how it is
 * turned and flipped.
 *
 * @param fit how large it is at a scale of 1
 * @param x to the right, in pixels of the sequence
 * @param y down, in pixels of the sequence
 * @param scale times the size it fits at, over 0
 * @param angleDegrees clockwise
 * @param flipX left and right changed over
 * @param flipY top and bottom changed over
 */
public record Place(
        Fit fit, Value x, Value y, Value scale, Value angleDegrees, boolean flipX, boolean flipY) {
    /** In the middle, as large as fits, upright. */
    public static final Place FITTED =
            new Place(Fit.FIT, Value.ZERO, Value.ZERO, Value.of(1), Value.ZERO, false, false);

    /** How large a picture is in a sequence of another size. */
    public enum Fit {
        /** As large as can be while all of it is seen. */
        FIT,
        /** As large as it must be for the sequence to be filled. */
        FILL,
        /** Pixel for pixel. */
        EXACT
    }

    public Place withFit(Fit f) {
        return new Place(f, x, y, scale, angleDegrees, flipX, flipY);
    }

    public Place withX(Value v) {
        return new Place(fit, v, y, scale, angleDegrees, flipX, flipY);
    }

    public Place withY(Value v) {
        return new Place(fit, x, v, scale, angleDegrees, flipX, flipY);
    }

    public Place withScale(Value v) {
        return new Place(fit, x, y, v, angleDegrees, flipX, flipY);
    }

    public Place withAngle(Value v) {
        return new Place(fit, x, y, scale, v, flipX, flipY);
    }

    public Place withFlips(boolean acrossX, boolean acrossY) {
        return new Place(fit, x, y, scale, angleDegrees, acrossX, acrossY);
    }
}
