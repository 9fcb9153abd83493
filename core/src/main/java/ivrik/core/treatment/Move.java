package ivrik.core.treatment;

import ivrik.core.filter.Moved;
import ivrik.core.filter.Warp;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.picture.Size;

import java.util.List;

/**
 * A treatment that only moves what is there; a held lane takes no part in it. All moves of a lane that
 * follow each other are one mapping, sampled once. Of an amount below 100 % the numbers that drive it
 * are so much less away from rest.
 */
public interface Move extends LaneTreatment {
    /**
     * Where each pixel of the moved lane comes from.
     *
     * @param size of the lane
     */
    Warp warp(Settings settings, Size size, Context context);

    /** The same mapping where only a few places are asked for: made more quickly, to 1e-6 of a pixel. */
    default Warp outline(Settings settings, Size size) {
        return warp(settings, size, ValidRegionFinder.WHOLE);
    }

    /** Whether it leaves the edge of the picture where it is, so that nothing is uncovered. */
    default boolean keepsEdge(Settings settings) {
        return false;
    }

    @Override
    default Rows apply(Plane lane, Settings settings, Context context) {
        return Moved.of(
                lane,
                List.of(warp(settings, lane.size(), context)),
                settings.edgeFill(),
                settings.sampler());
    }

    /** The largest part about the middle, in the shape of the picture, that comes from what is covered. */
    @Override
    default ValidRegion covered(ValidRegion before, Settings settings, Size size) {
        return ValidRegionFinder.of(
                before, outline(settings, size), ValidRegionFinder.reach(settings), size);
    }
}
