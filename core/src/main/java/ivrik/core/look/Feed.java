package ivrik.core.look;

import ivrik.core.picture.EdgeFill;

/**
 * Another picture, or another time, for one lane.
 *
 * @param source the id of the source whose picture it takes; empty for the layer's own
 * @param delayFrames how many frames of the sequence it is behind; negative is ahead
 * @param beyond what stands for a frame before the layer's first or after its last
 * @param place where it lies; as the layer lies while it is {@link Place#FITTED}
 */
public record Feed(String source, int delayFrames, EdgeFill beyond, Place place) {
    /** The layer's own picture, now. */
    public static final Feed OWN = new Feed("", 0, EdgeFill.REPEAT, Place.FITTED);

    public boolean isOwn() {
        return equals(OWN);
    }

    public Feed withSource(String s) {
        return new Feed(s, delayFrames, beyond, place);
    }

    public Feed withDelay(int frames) {
        return new Feed(source, frames, beyond, place);
    }

    public Feed withBeyond(EdgeFill b) {
        return new Feed(source, delayFrames, b, place);
    }

    public Feed withPlace(Place p) {
        return new Feed(source, delayFrames, beyond, p);
    }
}
