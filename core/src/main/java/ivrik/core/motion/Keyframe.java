package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/** The value at a frame and the interpolation to the next keyframe. */
@RecordBuilder
public record Keyframe(long frame, double value, Ease ease) implements KeyframeBuilder.With {
    public Keyframe {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(
                    "the keyframe at frame " + frame + " has no finite value");
        }
    }
}
