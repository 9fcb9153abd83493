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
 * Placement of a picture in the sequence, by its centre.
 *
 * @param fit size at scale 1
 * @param x offset from the sequence's centre to the right, in sequence pixels
 * @param y offset from the sequence's centre downwards, in sequence pixels
 * @param scale factor of the fitted size, greater than 0
 * @param angleDegrees clockwise rotation
 * @param pivotX fixed point of scale and rotation, right of the picture's centre, in sequence pixels at scale
 *     1
 * @param pivotY fixed point of scale and rotation, below the picture's centre
 * @param flipX whether left and right are exchanged
 * @param flipY whether top and bottom are exchanged
 */
@RecordBuilder
public record Placement(
        Fit fit,
        Value x,
        Value y,
        Value scale,
        Value angleDegrees,
        Value pivotX,
        Value pivotY,
        boolean flipX,
        boolean flipY)
        implements PlacementBuilder.With {
    private static final double FAR_PX = 100_000;
    private static final double MIN_SCALE = 1e-3;

    /** Centred, fitted, not rotated. */
    public static final Placement FITTED =
            new Placement(
                    Fit.FIT,
                    Value.ZERO,
                    Value.ZERO,
                    Value.of(1),
                    Value.ZERO,
                    Value.ZERO,
                    Value.ZERO,
                    false,
                    false);

    /** One number of a placement: its range, its getter and its copy-with function. */
    public record Part(
            Parameter range,
            Function<Placement, Value> value,
            BiFunction<Placement, Value, Placement> with) {
        public String name() {
            return range.name();
        }
    }

    public static final List<Part> PARTS =
            List.of(
                    px("x", "horizontal", Placement::x, Placement::withX),
                    px("y", "vertical", Placement::y, Placement::withY),
                    new Part(
                            Parameter.of("scale", "scale", "", MIN_SCALE, 100, 1, 0.1),
                            Placement::scale,
                            Placement::withScale),
                    new Part(
                            Parameter.degrees("angle", "angle"),
                            Placement::angleDegrees,
                            Placement::withAngleDegrees),
                    px("pivot-x", "pivot x", Placement::pivotX, Placement::withPivotX),
                    px("pivot-y", "pivot y", Placement::pivotY, Placement::withPivotY));

    private static Part px(
            String name,
            String title,
            Function<Placement, Value> value,
            BiFunction<Placement, Value, Placement> with) {
        return new Part(Parameter.px(name, title, -FAR_PX, FAR_PX), value, with);
    }

    /** The part of a name; empty if there is none. */
    public static Optional<Part> part(String name) {
        return PARTS.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    /** A placement with each number constant at its value at one moment. */
    public Placement settled(ToDoubleFunction<Part> at) {
        Placement settled = this;
        for (Part part : PARTS) {
            double now = part.range().clamp(at.applyAsDouble(part));
            settled = part.with().apply(settled, Value.of(now));
        }
        return settled;
    }

    /** Size of a picture in a sequence of another size. */
    public enum Fit {
        /** The largest size that shows the whole picture. */
        FIT,
        /** The smallest size that covers the sequence. */
        FILL,
        /** One source pixel per sequence pixel. */
        ORIGINAL_SIZE
    }

    public Placement withFlips(boolean acrossX, boolean acrossY) {
        return withFlipX(acrossX).withFlipY(acrossY);
    }
}
