package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.picture.ColourRows;
import ivrik.core.picture.Plane;
import ivrik.core.picture.Rows;
import ivrik.core.separation.Separation;

import java.util.ArrayList;
import java.util.List;

/**
 * The channels of a picture between separation and rejoin.
 *
 * @param origin the opaque picture that was separated; null for a picture with coverage
 */
record Channels(Separation model, ColourRows origin, List<SeparatedChannel> channels) {
    /**
     * One channel.
     *
     * @param rows the channel, premultiplied by its coverage if any; null for an untouched channel that was
     *     not requested
     * @param coverage null if opaque
     */
    record SeparatedChannel(CacheKey key, Rows rows, Plane coverage) {}

    boolean isOpaque() {
        return channels.getFirst().coverage() == null;
    }

    Channels with(int number, SeparatedChannel channel) {
        List<SeparatedChannel> changed = new ArrayList<>(channels);
        changed.set(number, channel);
        return new Channels(model, origin, changed);
    }

    List<Plane> planes(RenderContext renderContext) {
        return channels.stream().map(l -> l.rows().toPlane(renderContext.workers())).toList();
    }

    List<Plane> coverage() {
        return channels.stream().map(SeparatedChannel::coverage).toList();
    }
}
