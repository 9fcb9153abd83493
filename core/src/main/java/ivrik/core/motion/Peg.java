package ivrik.core.motion;

import io.soabase.recordbuilder.core.RecordBuilder;

/** A value set at a frame, and how the value moves from there to the next peg. */
@RecordBuilder
public record Peg(long frame, double value, Ease ease) implements PegBuilder.With {
    public Peg {
        if (!Double.isFinite(value)) {
            throw new IllegalArgumentException(
                    "the peg at frame " + frame + " has no finite value");
        }
    }
}
