package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.treatment.Parameter;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/**
 * Where a picture lies in the sequence: its middle, off the sequence's middle, its size, how it is
 * turned and flipped.
 *
 * @param fit how large it is at a scale of 1
 * @param x to the right, in pixels of the sequence
 * @param y down, in pixels of the sequence
 * @param scale times the size it fits at, over 0
 * @param angleDegrees clockwise
 * @param pivotX what stays in its place when the size or the angle changes, right of the picture's middle,
 *     in pixels of the sequence at a scale of 1
 * @param pivotY the same, down
 * @param flipX left and right changed over
 * @param flipY top and bottom changed over
 */
@RecordBuilder
public record Place(
        Fit fit,
        Value x,
        Value y,
        Value scale,
        Value angleDegrees,
        Value pivotX,
        Value pivotY,
        boolean flipX,
        boolean flipY)
        implements PlaceBuilder.With {
    private static final double FAR_PX = 100_000;
    private static final double LEAST_SCALE = 1e-3;

    /** In the middle, as large as fits, upright. */
    public static final Place FITTED =
            new Place(
                    Fit.FIT,
                    Value.ZERO,
                    Value.ZERO,
                    Value.of(1),
                    Value.ZERO,
                    Value.ZERO,
                    Value.ZERO,
                    false,
                    false);

    /** One of its numbers: its name in targets and range, and how it is read and changed. */
    public record Part(
            Parameter range, Function<Place, Value> value, BiFunction<Place, Value, Place> with) {
        public String name() {
            return range.name();
        }
    }

    public static final List<Part> PARTS =
            List.of(
                    px("x", "across", Place::x, Place::withX),
                    px("y", "down", Place::y, Place::withY),
                    new Part(
                            Parameter.of("scale", "scale", "", LEAST_SCALE, 100, 1, 0.1),
                            Place::scale,
                            Place::withScale),
                    new Part(
                            Parameter.degrees("angle", "angle"),
                            Place::angleDegrees,
                            Place::withAngleDegrees),
                    px("pivot-x", "pivot across", Place::pivotX, Place::withPivotX),
                    px("pivot-y", "pivot down", Place::pivotY, Place::withPivotY));

    private static Part px(
            String name,
            String title,
            Function<Place, Value> value,
            BiFunction<Place, Value, Place> with) {
        return new Part(Parameter.px(name, title, -FAR_PX, FAR_PX), value, with);
    }

    /** The number of this name; empty if there is none. */
    public static Optional<Part> part(String name) {
        return PARTS.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** With each of its numbers as it is at one moment. */
    public Place settled(ToDoubleFunction<Part> at) {
        Place settled = this;
        for (Part part : PARTS) {
            double now = part.range().clamp(at.applyAsDouble(part));
            settled = part.with().apply(settled, Value.of(now));
        }
        return settled;
    }

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
        return withFlipX(acrossX).withFlipY(acrossY);
    }
}
