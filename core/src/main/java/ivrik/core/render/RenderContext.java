package ivrik.core.render;

import ivrik.core.cache.CacheKey;
import ivrik.core.cache.FrameCache;
import ivrik.core.threads.Cancellation;
import ivrik.core.threads.Workers;

/**
 * The environment of a rendering.
 *
 * @param scale rendered pixels per pixel of the full-size sequence
 * @param cache cache of intermediate results
 * @param ahead whether only the kind of the picture is determined; such requests are not counted
 */
record RenderContext(
        double scale, Workers workers, Cancellation cancel, FrameCache cache, boolean ahead) {
    RenderContext(double scale, Workers workers, Cancellation cancel, FrameCache cache) {
        this(scale, workers, cancel, cache, false);
    }

    /** Whether something is requested repeatedly, so that it is worth caching. */
    boolean recurs(CacheKey key) {
        return !ahead && cache.recurs(key);
    }
}
