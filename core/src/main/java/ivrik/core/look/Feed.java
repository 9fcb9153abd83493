package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.sampling.EdgeFill;

/**
 * Another picture, or another time, for one lane.
 *
 * @param source the id of the source whose picture it takes; empty for the layer's own
 * @param delayFrames how many frames of the sequence it is behind; negative is ahead
 * @param beyond what stands for a frame before the layer's first or after its last
 * @param place where it lies; as the layer lies while it is {@link Place#FITTED}
 */
@RecordBuilder
public record Feed(String source, int delayFrames, EdgeFill beyond, Place place)
        implements FeedBuilder.With {
    /** As far behind, or ahead, as a lane can be. */
    public static final int MOST_DELAY_FRAMES = 1_000_000;

    /** The layer's own picture, now. */
    public static final Feed OWN = new Feed("", 0, EdgeFill.REPEAT, Place.FITTED);

    public boolean isOwn() {
        return equals(OWN);
    }
}
