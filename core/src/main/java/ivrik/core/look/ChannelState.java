package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.rejoin.Blend;
import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * Settings of a channel as a whole: its three switches and how it enters the rejoined picture.
 *
 * @param solo shows only this and other soloed channels
 * @param mute leaves the channel out of the picture
 * @param fixed excludes the channel from animation
 * @param ink display colour; empty for the default of the model
 * @param blend how the channel is combined with the ones before it; empty for the look's rejoin method
 * @param strength share of the channel in the picture, 0..1
 * @param channelSource picture and time that the channel is taken from
 */
@RecordBuilder
public record ChannelState(
        boolean solo,
        boolean mute,
        boolean fixed,
        Optional<Ink> ink,
        Optional<Blend> blend,
        Value strength,
        ChannelSource channelSource)
        implements ChannelStateBuilder.With {
    public static final ChannelState PLAIN =
            new ChannelState(
                    false,
                    false,
                    false,
                    Optional.empty(),
                    Optional.empty(),
                    Value.of(1),
                    ChannelSource.LAYER_PICTURE);
}
