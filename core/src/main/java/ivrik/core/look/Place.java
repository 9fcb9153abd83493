package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.Map;

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
@RecordBuilder
public record Place(
        Fit fit, Value x, Value y, Value scale, Value angleDegrees, boolean flipX, boolean flipY)
        implements PlaceBuilder.With {
    private static final double FAR_PX = 100_000;
    private static final double LEAST_SCALE = 1e-3;

    /** In the middle, as large as fits, upright. */
    public static final Place FITTED =
            new Place(Fit.FIT, Value.ZERO, Value.ZERO, Value.of(1), Value.ZERO, false, false);

    /** What its numbers may be, by their names in targets. */
    public static final Map<String, Parameter> RANGES =
            Map.of(
                    "x", Parameter.px("x", "across", -FAR_PX, FAR_PX),
                    "y", Parameter.px("y", "down", -FAR_PX, FAR_PX),
                    "scale", Parameter.of("scale", "scale", "", LEAST_SCALE, 100, 1, 0.1),
                    "angle", Parameter.degrees("angle", "angle"));

    /** How large a picture is in a sequence of another size. */
    public enum Fit {
        /** As large as can be while all of it is seen. */
        FIT,
        /** As large as it must be for the sequence to be filled. */
        FILL,
        /** Pixel for pixel. */
        EXACT
    }

    public Place withFlips(boolean acrossX, boolean acrossY) {
        return new Place(fit, x, y, scale, angleDegrees, acrossX, acrossY);
    }
}
