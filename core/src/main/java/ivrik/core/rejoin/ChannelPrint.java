package ivrik.core.rejoin;

import ivrik.core.separation.ChannelKind;
import ivrik.core.separation.Ink;

import java.util.Optional;

/**
 * How one channel enters the rejoined picture.
 *
 * @param channel index in the separation
 * @param visible whether the channel is in the picture
 * @param ink display colour
 * @param blend blend mode with the channels before it; empty for the mode of the rejoin
 * @param strength opacity, 0..1
 */
public record ChannelPrint(
        int channel, boolean visible, Ink ink, Optional<Blend> blend, double strength) {
    /** A channel with the defaults of its model. */
    public static ChannelPrint plain(int channel, ChannelKind kind) {
        return new ChannelPrint(channel, true, kind.ink(), Optional.empty(), 1);
    }
}
