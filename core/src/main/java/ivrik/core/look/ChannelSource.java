package ivrik.core.look;

import io.soabase.recordbuilder.core.RecordBuilder;

import ivrik.core.motion.Value;
import ivrik.core.sampling.EdgeFill;

/**
 * Picture and time that a channel is taken from.
 *
 * @param source id of a source; empty for the layer's own picture
 * @param delayFrames delay in frames of the sequence; negative is early
 * @param outside how frames before the first and after the last are filled
 * @param cutFrames how many frames after the layer's cuts the channel cuts; negative is before. Until then
 *     the outgoing shot continues as far as its source has frames
 * @param slitScan change of time across the picture
 * @param trailPercent share of a value that remains one frame later where nothing lighter follows
 * @param placement placement of the picture; as the layer's while it is {@link Placement#FITTED}
 */
@RecordBuilder
public record ChannelSource(
        String source,
        Value delayFrames,
        EdgeFill outside,
        Value cutFrames,
        SlitScan slitScan,
        Value trailPercent,
        Placement placement)
        implements ChannelSourceBuilder.With {
    /** Largest delay in frames, in either direction. */
    public static final int MAX_DELAY_FRAMES = 1_000_000;

    /** The layer's own picture at the present frame. */
    public static final ChannelSource LAYER_PICTURE =
            new ChannelSource(
                    "",
                    Value.ZERO,
                    EdgeFill.REPEAT,
                    Value.ZERO,
                    SlitScan.NONE,
                    Value.ZERO,
                    Placement.FITTED);

    /** Another picture or time, constant across the picture. */
    public static ChannelSource of(
            String source, int delayFrames, EdgeFill beyond, Placement place) {
        return new ChannelSource(
                source,
                Value.of(delayFrames),
                beyond,
                Value.ZERO,
                SlitScan.NONE,
                Value.ZERO,
                place);
    }

    public boolean isLayerPicture() {
        return equals(LAYER_PICTURE);
    }

    /**
     * Whether this is the layer's own picture, in its placement, at the present frame, everywhere.
     */
    public boolean isPlain() {
        return source.isEmpty()
                && placement.equals(Placement.FITTED)
                && trailPercent.equals(Value.ZERO)
                && ChannelSourceParameters.TIMES.stream()
                        .allMatch(p -> p.value().apply(this).equals(Value.ZERO));
    }

    /** This source with a constant delay. */
    public ChannelSource delayed(double frames) {
        return withDelayFrames(Value.of(frames));
    }
}
