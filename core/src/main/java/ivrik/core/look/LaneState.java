package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

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
@RecordBuilder
public record LaneState(
        boolean solo,
        boolean mute,
        boolean hold,
        Optional<Ink> ink,
        Optional<Blend> blend,
        Value strength,
        Feed feed)
        implements LaneStateBuilder.With {
    public static final LaneState PLAIN =
            new LaneState(
                    false, false, false, Optional.empty(), Optional.empty(), Value.of(1), Feed.OWN);
}
