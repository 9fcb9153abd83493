package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.filter.Affine;
import ivrik.core.filter.WarpedPlane;
import ivrik.core.picture.Frame;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Size;
import ivrik.core.sampling.EdgeFill;
import ivrik.core.sampling.Sampler;
import ivrik.core.treatment.ValidRegion;

import java.util.List;
import java.util.Optional;

/**
 * Scales the result up about the centre so that uncovered edges lie outside the frame; samples outside repeat
 * the border.
 *
 * @param times at least 1
 */
record OverscanStage(double times) implements Stage {
    private static final Sampler SAMPLER = Sampler.CUBIC;

    @Override
    public boolean isNeutral() {
        return times == 1;
    }

    @Override
    public Object key() {
        return this;
    }

    @Override
    public ValidRegion covered(ValidRegion before, Size size) {
        return before;
    }

    @Override
    public void take(PictureState state) {
        CacheKey key = state.key().then(key());
        Frame frame = state.frame().premultiplied(state.renderContext().workers());
        Optional<ChannelCoverage> coverage = state.channelCoverage();
        state.set(frame.mapPlanes(p -> plane(p, state.renderContext())), key);
        state.setChannelCoverage(
                coverage.map(parted -> parted.map(p -> plane(p, state.renderContext()))));
    }

    private Plane plane(Plane in, RenderContext renderContext) {
        Affine larger = Affine.scaled(times, times, in.width() / 2.0, in.height() / 2.0);
        return WarpedPlane.of(in, List.of(larger), EdgeFill.REPEAT, SAMPLER)
                .toPlane(renderContext.workers());
    }

    /**
     * The smallest scale at which no sample within {@code margin} pixels of one end of a row of {@code size}
     * is used; 1 without a margin, infinite if no scale suffices.
     */
    static double hiding(double margin, int size) {
        if (margin <= 0) {
            return 1;
        }
        double first = margin - SAMPLER.firstTap(); // the first sample that may be used
        double middle = (size - 1) / 2.0;
        return first >= middle ? Double.POSITIVE_INFINITY : middle / (middle - first);
    }
}
