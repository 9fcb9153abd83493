package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;

/**
 * Another picture, or another time, for one lane.
 *
 * @param source the id of the source whose picture it takes; empty for the layer's own
 * @param delayFrames how many frames of the sequence it is behind; negative is ahead
 * @param beyond what stands for a frame before the layer's first or after its last
 * @param cutFrames how many frames after the layer's cuts it cuts; negative is before. Until then the shot
 *     that goes goes on, as far as its source reaches
 * @param slit how its time changes across the picture
 * @param lingerPercent how much of a value is still there a frame later, where nothing lighter has come
 * @param place where it lies; as the layer lies while it is {@link Place#FITTED}
 */
@RecordBuilder
public record Feed(
        String source,
        Value delayFrames,
        EdgeFill beyond,
        Value cutFrames,
        Slit slit,
        Value lingerPercent,
        Place place)
        implements FeedBuilder.With {
    /** As far behind, or ahead, as a lane can be. */
    public static final int MOST_DELAY_FRAMES = 1_000_000;

    /** The layer's own picture, now. */
    public static final Feed OWN =
            new Feed(
                    "",
                    Value.ZERO,
                    EdgeFill.REPEAT,
                    Value.ZERO,
                    Slit.NONE,
                    Value.ZERO,
                    Place.FITTED);

    /** Another picture or time, without a change across it. */
    public static Feed of(String source, int delayFrames, EdgeFill beyond, Place place) {
        return new Feed(
                source, Value.of(delayFrames), beyond, Value.ZERO, Slit.NONE, Value.ZERO, place);
    }

    public boolean isOwn() {
        return equals(OWN);
    }

    /** Whether it is the layer's own picture, where it lies, at this time, all across it. */
    public boolean isPlain() {
        return source.isEmpty()
                && place.equals(Place.FITTED)
                && lingerPercent.equals(Value.ZERO)
                && FeedParts.TIMES.stream().allMatch(p -> p.value().apply(this).equals(Value.ZERO));
    }

    /** With its delay set, at all times. */
    public Feed delayed(double frames) {
        return withDelayFrames(Value.of(frames));
    }
}
