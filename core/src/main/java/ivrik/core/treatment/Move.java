package ivrik.core.treatment;

import ivrik.core.filter.Warp;
import ivrik.core.filter.WarpedPlane;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import java.util.List;

/**
 * A treatment that only maps positions; a fixed channel is excluded. Consecutive mappings of a channel are
 * composed and sampled once. An amount below 100 % reduces the parameters' distance from their defaults.
 */
public interface Move extends ChannelTreatment {
    /**
     * Source position of each pixel.
     *
     * @param size size of the channel
     */
    Warp warp(Settings settings, Size size, Context context);

    /** The same mapping for a few positions: faster, accurate to 1e-6 pixels. */
    default Warp outline(Settings settings, Size size) {
        return warp(settings, size, ValidRegionFinder.WHOLE);
    }

    /** Whether the picture's border stays in place, so that nothing is uncovered. */
    default boolean keepsEdge(Settings settings) {
        return false;
    }

    @Override
    default Rows apply(Plane channel, Settings settings, Context context) {
        return WarpedPlane.of(
                channel,
                List.of(warp(settings, channel.size(), context)),
                settings.edgeFill(),
                settings.sampler());
    }

    /**
     * The largest centred region in the picture's shape whose samples come from the covered region.
     */
    @Override
    default ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return ValidRegionFinder.of(
                before, outline(settings, size), ValidRegionFinder.supportRadius(settings), size);
    }
}
