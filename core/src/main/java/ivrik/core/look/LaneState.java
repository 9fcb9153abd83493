package ivrik.core.look;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * What is said of a lane as a whole: its three switches, and how it is printed into the picture.
 *
 * @param solo only it, and others soloed, are in the picture
 * @param mute it is left out
 * @param hold it takes no part in movement
 * @param ink the colour it paints with; empty for its model's own
 * @param blend how it meets the lanes before it; empty for the look's way
 * @param strength 0..1, how much of it is in the picture
 * @param feed where its picture comes from
 */
public record LaneState(
        boolean solo,
        boolean mute,
        boolean hold,
        Optional<Ink> ink,
        Optional<Blend> blend,
        Value strength,
        Feed feed) {
    public static final LaneState PLAIN =
            new LaneState(
                    false, false, false, Optional.empty(), Optional.empty(), Value.of(1), Feed.OWN);

    public LaneState withSolo(boolean on) {
        return new LaneState(on, mute, hold, ink, blend, strength, feed);
    }

    public LaneState withMute(boolean on) {
        return new LaneState(solo, on, hold, ink, blend, strength, feed);
    }

    public LaneState withHold(boolean on) {
        return new LaneState(solo, mute, on, ink, blend, strength, feed);
    }

    public LaneState withInk(Optional<Ink> i) {
        return new LaneState(solo, mute, hold, i, blend, strength, feed);
    }

    public LaneState withBlend(Optional<Blend> b) {
        return new LaneState(solo, mute, hold, ink, b, strength, feed);
    }

    public LaneState withStrength(Value s) {
        return new LaneState(solo, mute, hold, ink, blend, s, feed);
    }

    public LaneState withFeed(Feed f) {
        return new LaneState(solo, mute, hold, ink, blend, strength, f);
    }
}
